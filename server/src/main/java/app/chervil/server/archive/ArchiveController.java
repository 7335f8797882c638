package app.chervil.server.archive;

import app.chervil.server.account.SignedIn;
import app.chervil.server.archive.Bringing.Choice;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A whole site, or a tank, as one file, out and in over HTTP. */
@RestController
class ArchiveController {
    private final ArchiveOperations operations;
    private final BringingOperations bringing;
    private final String address;

    ArchiveController(
            ArchiveOperations operations, BringingOperations bringing, @Value("${chervil.address:}") String address) {
        this.operations = operations;
        this.bringing = bringing;
        this.address = address.isBlank() ? "http://localhost" : address;
    }

    /** The whole site, or one tank of it with its history. */
    @GetMapping(value = "/api/archive.zip", produces = "application/zip")
    ResponseEntity<Resource> archive(
            @AuthenticationPrincipal SignedIn who, @RequestParam(required = false) @Nullable Long tank)
            throws IOException {
        Path file = Files.createTempFile("chervil-archive", ".zip");
        try {
            if (tank == null) {
                operations.write(who, file, address);
            } else {
                operations.writeTank(who, file, tank);
            }
        } catch (IOException | RuntimeException failure) {
            Files.delete(file);
            throw failure;
        }
        // Gone as soon as it was read, or given up.
        InputStream read = Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .cacheControl(CacheControl.noStore())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"chervil-" + (tank == null ? "site" : "tank") + ".zip\"")
                .body(new InputStreamResource(read));
    }

    /** What an archive would bring in; nothing is stored. */
    @PostMapping(value = "/api/archive/preview", consumes = "application/zip")
    BringingView preview(
            @AuthenticationPrincipal SignedIn who,
            @RequestParam(defaultValue = "") Set<Long> tanks,
            @RequestParam(defaultValue = "false") boolean stores,
            @RequestBody InputStreamResource archive)
            throws IOException {
        return received(archive, file -> bringing.preview(who, file, new Choice(tanks, stores)));
    }

    /** Brings it in. */
    @PostMapping(value = "/api/archive", consumes = "application/zip")
    BringingView bringIn(
            @AuthenticationPrincipal SignedIn who,
            @RequestParam(defaultValue = "") Set<Long> tanks,
            @RequestParam(defaultValue = "false") boolean stores,
            @RequestBody InputStreamResource archive)
            throws IOException {
        return received(archive, file -> bringing.bringIn(who, file, new Choice(tanks, stores)));
    }

    /** What is done with an archive that lies in a file. */
    private interface Work {
        BringingView with(Path file) throws IOException;
    }

    private static BringingView received(InputStreamResource archive, Work work) throws IOException {
        Path file = Files.createTempFile("chervil-bringing", ".zip");
        try (InputStream sent = archive.getInputStream()) {
            Files.copy(sent, file, StandardCopyOption.REPLACE_EXISTING);
            return work.with(file);
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
