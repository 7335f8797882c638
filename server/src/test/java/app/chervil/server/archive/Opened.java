package app.chervil.server.archive;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** An archive as somebody finds it who opens it. */
final class Opened {
    private Opened() {}

    /** Its files by name. */
    static Map<String, byte[]> files(byte[] archive) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry one = zip.getNextEntry(); one != null; one = zip.getNextEntry()) {
                files.put(one.getName(), zip.readAllBytes());
            }
        }
        return files;
    }
}
