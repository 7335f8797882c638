package app.chervil.server.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

@ChervilTest
class PhotoApiTest {
    @Autowired
    TestSite site;

    @Autowired
    MockMvc mvc;

    private final UUID service = UUID.randomUUID();
    private final UUID photo = UUID.randomUUID();
    private SignedIn keeper;
    private long weir;

    @BeforeEach
    void somethingWasServed() throws Exception {
        keeper = site.keeper();
        weir = log(keeper, service);
    }

    private long log(SignedIn who, UUID id) throws Exception {
        long tank = site.tank(who);
        JsonNode canister = site.canister(who, tank, "Weir", "2026-03-01");
        site.put(who, "/api/services/" + id, """
            {"tankId": %d, "doneOn": "2026-05-30", "doneBy": "Ada", "minutes": 6, "note": "",
             "tasks": [{"taskId": %d, "finding": "LIGHT"}], "flows": []}""".formatted(tank, TestSite.task(canister, "Rinse the pre-filter")));
        return canister.get("id").asLong();
    }

    @Test
    void a_photo_sent_twice_is_kept_once_as_a_plain_picture() throws Exception {
        send(keeper, photo, Pictures.png(40, 30)).andExpect(status().isNoContent());
        send(keeper, photo, Pictures.png(40, 30)).andExpect(status().isNoContent());

        site.get(keeper, "/api/services/" + service + "/photos")
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].moment").value("BEFORE"));
        site.get(keeper, "/api/photos/" + photo).andExpect(content().contentType(MediaType.IMAGE_JPEG));
    }

    @Test
    void another_photo_under_an_id_that_is_taken_is_not_said_to_be_kept() throws Exception {
        send(keeper, photo, Pictures.png(40, 30));

        send(keeper, photo, Pictures.png(41, 30))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.code").value("id-taken"));
    }

    @Test
    void a_photo_of_no_service_is_refused() throws Exception {
        mvc.perform(asked(keeper, UUID.randomUUID(), photo, Pictures.png(4, 4)))
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.code").value("service-not-found"));
    }

    @Test
    void twenty_photos_are_the_most_however_many_come_at_once() throws Exception {
        byte[] bytes = Pictures.png(4, 4);
        ExecutorService pool = Executors.newFixedThreadPool(8);
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            all.add(() -> send(keeper, UUID.randomUUID(), bytes)
                    .andReturn()
                    .getResponse()
                    .getStatus());
        }
        int kept = 0;
        for (Future<Integer> one : pool.invokeAll(all)) {
            kept += one.get() == 204 ? 1 : 0;
        }
        pool.shutdown();

        assertThat(kept).isEqualTo(PhotoOperations.MOST);
        site.get(keeper, "/api/services/" + service + "/photos")
                .andExpect(jsonPath("$.length()").value(kept));
    }

    @Test
    void more_than_five_megabytes_and_what_is_no_picture_are_refused() throws Exception {
        send(keeper, photo, new byte[PhotoOperations.MOST_BYTES + 1])
                .andExpect(jsonPath("$.errors[0].code").value("too-large"));
        send(keeper, photo, "<svg onload='x'/>".getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("no-picture"));
    }

    @Test
    void a_photo_of_another_site_is_not_found() throws Exception {
        SignedIn stranger = site.keeper();
        send(keeper, photo, Pictures.png(4, 4)).andExpect(status().isNoContent());

        site.get(stranger, "/api/photos/" + photo).andExpect(status().isNotFound());
        site.delete(stranger, "/api/photos/" + photo).andExpect(status().isNotFound());
        mvc.perform(asked(stranger, service, UUID.randomUUID(), Pictures.png(4, 4)))
                .andExpect(status().isNotFound());
        site.get(stranger, "/api/services/" + service + "/photos")
                .andExpect(jsonPath("$.length()").value(0));
        site.delete(keeper, "/api/photos/" + photo).andExpect(status().isNoContent());
    }

    @Test
    void how_a_filter_is_built_is_kept_in_photos_of_its_own_with_what_they_show() throws Exception {
        ofFilter(keeper, weir, photo, "The hose block, lever down").andExpect(status().isNoContent());
        ofFilter(keeper, weir, photo, "The hose block, lever down").andExpect(status().isNoContent());

        site.get(keeper, "/api/filters/" + weir + "/photos")
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].moment").value("BUILT"))
                .andExpect(jsonPath("$[0].caption").value("The hose block, lever down"));
        site.get(keeper, "/api/services/" + service + "/photos")
                .andExpect(jsonPath("$.length()").value(0));
        site.get(keeper, "/api/photos/" + photo).andExpect(content().contentType(MediaType.IMAGE_JPEG));
        site.delete(keeper, "/api/photos/" + photo).andExpect(status().isNoContent());
    }

    @Test
    void a_photo_of_no_filter_of_anothers_or_with_too_long_a_caption_is_refused() throws Exception {
        ofFilter(keeper, weir, photo, "x".repeat(121))
                .andExpect(jsonPath("$.errors[0].field").value("caption"));
        ofFilter(keeper, -1, photo, "").andExpect(jsonPath("$.code").value("filter-not-found"));
        ofFilter(site.keeper(), weir, photo, "").andExpect(jsonPath("$.code").value("filter-not-found"));
    }

    @Test
    void a_photo_of_a_service_shows_it_before_or_after() throws Exception {
        site.sendFile(
                        keeper,
                        HttpMethod.PUT,
                        "/api/services/" + service + "/photos/" + photo + "?moment=BUILT",
                        MediaType.IMAGE_JPEG,
                        Pictures.png(4, 4))
                .andExpect(jsonPath("$.errors[0].field").value("moment"));
    }

    private ResultActions ofFilter(SignedIn who, long filter, UUID id, String caption) throws Exception {
        return site.sendFile(
                who,
                HttpMethod.PUT,
                "/api/filters/" + filter + "/photos/" + id + "?caption=" + caption,
                MediaType.IMAGE_JPEG,
                Pictures.png(40, 30));
    }

    private ResultActions send(SignedIn who, UUID id, byte[] bytes) throws Exception {
        return mvc.perform(asked(who, service, id, bytes));
    }

    private static org.springframework.test.web.servlet.RequestBuilder asked(
            SignedIn who, UUID service, UUID id, byte[] bytes) {
        return put("/api/services/" + service + "/photos/" + id + "?moment=BEFORE")
                .with(csrf())
                .with(authentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of())))
                .contentType(MediaType.IMAGE_JPEG)
                .content(bytes);
    }
}
