package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.Photo.Moment;
import app.chervil.server.visit.PhotoMapper.Picture;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Photos before and after a service, kept beside it in the database. */
@Service
public class PhotoOperations {
    static final int MOST_BYTES = 5 * 1024 * 1024;
    static final int MOST_OF_SERVICE = 20;

    private final PhotoMapper mapper;
    private final Clock clock;

    PhotoOperations(PhotoMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Photos of a service, in progress or logged. */
    @Transactional(readOnly = true)
    public List<Photo> list(SignedIn who, UUID service) {
        return mapper.list(who.siteId(), service);
    }

    /**
     * Keeps a photo under an id its client made; sent again, it is kept once.
     *
     * @throws Rejected if it is too large, no picture, or one too many
     */
    @Transactional
    public void add(SignedIn who, UUID service, UUID id, Moment moment, byte[] bytes) {
        Optional<String> type = contentType(bytes);
        new Rejected.Gatherer()
                .check(bytes.length <= MOST_BYTES, "photo", "too-large", "At most 5 MB a photo.")
                .check(type.isPresent(), "photo", "no-picture", "This is no JPEG, PNG or WebP picture.")
                .check(
                        mapper.list(who.siteId(), service).size() < MOST_OF_SERVICE,
                        "photo",
                        "too-many",
                        "At most 20 photos a service.")
                .done();
        Photo photo = new Photo(id, moment, clock.instant(), who.name());
        mapper.insert(who.siteId(), service, photo, new Picture(type.orElseThrow(), bytes));
    }

    /**
     * The picture itself.
     *
     * @throws NotFound if the site has no such photo
     */
    @Transactional(readOnly = true)
    public Picture find(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("photo"));
    }

    @Transactional
    public void delete(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id) == 0) {
            throw new NotFound("photo");
        }
    }

    /** By what the file begins with; what its sender calls it is not trusted. */
    private static Optional<String> contentType(byte[] bytes) {
        if (begins(bytes, 0xFF, 0xD8, 0xFF)) {
            return Optional.of("image/jpeg");
        }
        if (begins(bytes, 0x89, 'P', 'N', 'G')) {
            return Optional.of("image/png");
        }
        return begins(bytes, 'R', 'I', 'F', 'F') ? Optional.of("image/webp") : Optional.empty();
    }

    private static boolean begins(byte[] bytes, int... start) {
        for (int i = 0; i < start.length; i++) {
            if (bytes.length <= i || (bytes[i] & 0xFF) != start[i]) {
                return false;
            }
        }
        return true;
    }
}
