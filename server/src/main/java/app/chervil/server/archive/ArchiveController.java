package app.chervil.server.archive;

import app.chervil.server.account.SignedIn;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** A whole site as one file, over HTTP. */
@RestController
class ArchiveController {
    private final ArchiveOperations operations;
    private final String address;

    ArchiveController(ArchiveOperations operations, @Value("${chervil.address:}") String address) {
        this.operations = operations;
        this.address = address.isBlank() ? "http://localhost" : address;
    }

    @GetMapping(value = "/api/archive.zip", produces = "application/zip")
    ResponseEntity<Resource> archive(@AuthenticationPrincipal SignedIn who) throws IOException {
        Path file = Files.createTempFile("chervil-archive", ".zip");
        operations.write(who, file, address);
        // Gone as soon as it was read, or given up.
        InputStream read = Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .cacheControl(CacheControl.noStore())
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"chervil-site.zip\"")
                .body(new InputStreamResource(read));
    }
}
