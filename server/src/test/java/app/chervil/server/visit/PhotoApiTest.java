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
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

@ChervilTest
class PhotoApiTest {
    private static final byte[] JPEG = {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, 1, 2, 3};

    @Autowired
    TestSite site;

    @Autowired
    MockMvc mvc;

    private final UUID service = UUID.randomUUID();
    private final UUID photo = UUID.randomUUID();

    @Test
    void a_photo_sent_twice_is_kept_once_and_comes_back_as_it_was() throws Exception {
        SignedIn keeper = site.keeper();
        send(keeper, JPEG).andExpect(status().isNoContent());
        send(keeper, JPEG).andExpect(status().isNoContent());

        site.get(keeper, "/api/services/" + service + "/photos")
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].moment").value("BEFORE"));
        site.get(keeper, "/api/photos/" + photo)
                .andExpect(content().bytes(JPEG))
                .andExpect(content().contentType(MediaType.IMAGE_JPEG));
    }

    @Test
    void five_megabytes_are_accepted_and_not_a_byte_more() throws Exception {
        SignedIn keeper = site.keeper();

        send(keeper, Arrays.copyOf(JPEG, PhotoOperations.MOST_BYTES + 1))
                .andExpect(jsonPath("$.errors[0].code").value("too-large"));
        send(keeper, Arrays.copyOf(JPEG, PhotoOperations.MOST_BYTES)).andExpect(status().isNoContent());
    }

    @Test
    void what_is_no_picture_is_refused_whatever_it_is_called() throws Exception {
        send(site.keeper(), "<svg onload='x'/>".getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("no-picture"));
    }

    @Test
    void a_photo_of_another_site_is_not_found() throws Exception {
        SignedIn keeper = site.keeper();
        SignedIn stranger = site.keeper();
        send(keeper, JPEG);

        site.get(stranger, "/api/photos/" + photo).andExpect(status().isNotFound());
        site.delete(stranger, "/api/photos/" + photo).andExpect(status().isNotFound());
        site.get(stranger, "/api/services/" + service + "/photos")
                .andExpect(jsonPath("$.length()").value(0));
        site.delete(keeper, "/api/photos/" + photo).andExpect(status().isNoContent());
        assertThat(site.read(site.get(keeper, "/api/services/" + service + "/photos"))
                        .isEmpty())
                .isTrue();
    }

    private ResultActions send(SignedIn who, byte[] bytes) throws Exception {
        return mvc.perform(put("/api/services/" + service + "/photos/" + photo + "?moment=BEFORE")
                .with(csrf())
                .with(authentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of())))
                .contentType(MediaType.IMAGE_JPEG)
                .content(bytes));
    }
}
