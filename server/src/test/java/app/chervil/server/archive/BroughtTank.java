package app.chervil.server.archive;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import app.chervil.server.visit.Pictures;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** One keeper’s tank, with a canister, a log, a photo and a reading of the keeper’s own parameter; another keeper takes it in. */
abstract class BroughtTank {
    static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    @Autowired
    TestSite site;

    SignedIn giver;
    SignedIn taker;
    long tank;
    UUID service;

    @BeforeEach
    void brook() throws Exception {
        giver = site.keeper();
        taker = site.keeper();
        tank = site.tank(giver);
        JsonNode weir = site.canister(giver, tank, "Weir", "2026-03-01");
        long rinse = TestSite.task(weir, "Rinse the pre-filter");
        for (int week = 1; week <= 8; week++) {
            service = new UUID(giver.siteId(), week);
            site.put(giver, "/api/services/" + service, """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Ada", "minutes": 6, "note": "", "flows": [],
                 "tasks": [{"taskId": %d, "finding": "HEAVY"}]}""".formatted(
                            tank, java.time.LocalDate.of(2026, 3, 1).plusDays(9L * week), rinse));
        }
        site.sendFile(
                giver,
                HttpMethod.PUT,
                "/api/services/" + service + "/photos/" + new UUID(giver.siteId(), 99) + "?moment=AFTER",
                MediaType.IMAGE_JPEG,
                Pictures.jpeg(40, 20, 1));
        JsonNode own = site.read(site.post(giver, "/api/parameters", "{\"name\": \"Iodine\", \"unit\": \"mg/L\"}"));
        site.post(giver, "/api/tanks/" + tank + "/readings", """
            {"takenAt": "2026-05-20T10:00:00Z", "moment": "PLAIN", "confirmed": true, "values": [
              {"id": "%s", "parameter": "%s", "amount": 0.06, "belowDetection": false, "early": false, "method": ""}]}""".formatted(
                        new UUID(giver.siteId(), 50), own.get("code").asString()));
    }

    byte[] archive(SignedIn who, String query) throws Exception {
        return site.get(who, "/api/archive.zip" + query)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    ResultActions send(SignedIn who, String path, byte[] archive) throws Exception {
        return site.sendFile(who, HttpMethod.POST, path, ZIP, archive);
    }

    JsonNode bring(SignedIn who, String query, byte[] archive) throws Exception {
        return site.read(send(who, "/api/archive" + query, archive).andExpect(status().isOk()));
    }

    static int[] count(JsonNode view, String what) {
        return view.get("counts")
                .valueStream()
                .filter(one -> one.get("what").asString().equals(what))
                .map(one ->
                        new int[] {one.get("brought").asInt(), one.get("there").asInt()})
                .findFirst()
                .orElse(new int[2]);
    }

    /** The same archive with one of its files written otherwise. */
    static byte[] with(byte[] archive, String name, UnaryOperator<String> change) throws IOException {
        ByteArrayOutputStream changed = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(changed)) {
            for (Map.Entry<String, byte[]> file : Opened.files(archive).entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(
                        file.getKey().equals(name)
                                ? change.apply(new String(file.getValue(), StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)
                                : file.getValue());
            }
        }
        return changed.toByteArray();
    }

    long filter(SignedIn who) throws Exception {
        return site.read(site.get(who, "/api/filters")).get(0).get("id").asLong();
    }
}
