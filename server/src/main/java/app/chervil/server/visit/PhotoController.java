package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.Photo.Moment;
import app.chervil.server.visit.Photo.Of;
import app.chervil.server.visit.PhotoMapper.Picture;
import app.chervil.server.visit.PhotoOperations.Told;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Photos over HTTP. */
@RestController
@RequestMapping("/api")
class PhotoController {
    private final PhotoOperations operations;

    PhotoController(PhotoOperations operations) {
        this.operations = operations;
    }

    @GetMapping("/services/{service}/photos")
    List<Photo> list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID service) {
        return operations.list(who, new Of.Service(service));
    }

    @PutMapping(value = "/services/{service}/photos/{photo}", consumes = "image/*")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID service,
            @PathVariable UUID photo,
            @RequestParam Moment moment,
            @RequestBody byte[] bytes) {
        if (moment == Moment.BUILT) {
            throw Rejected.field("moment", "unknown", "A photo of a service was taken before or after it.");
        }
        operations.add(who, new Of.Service(service), new Told(photo, moment, ""), bytes);
    }

    /** Photos of how a filter is built. */
    @GetMapping("/filters/{filter}/photos")
    List<Photo> listOfFilter(@AuthenticationPrincipal SignedIn who, @PathVariable long filter) {
        return operations.list(who, new Of.Filter(filter));
    }

    /**
     * Adds a photo of how a filter is built.
     *
     * @param caption what it shows
     */
    @PutMapping(value = "/filters/{filter}/photos/{photo}", consumes = "image/*")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void addToFilter(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long filter,
            @PathVariable UUID photo,
            @RequestParam(defaultValue = "") String caption,
            @RequestBody byte[] bytes) {
        operations.add(who, new Of.Filter(filter), new Told(photo, Moment.BUILT, caption.strip()), bytes);
    }

    /** The picture; it never changes under its id. */
    @GetMapping(value = "/photos/{photo}", produces = "image/*")
    ResponseEntity<byte[]> find(@AuthenticationPrincipal SignedIn who, @PathVariable UUID photo) {
        Picture picture = operations.find(who, photo);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.contentType()))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(picture.bytes());
    }

    @DeleteMapping("/photos/{photo}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID photo) {
        operations.delete(who, photo);
    }
}
