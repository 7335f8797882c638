package app.chervil.server.mail;

import static org.hamcrest.Matchers.hasSize;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mail.MailSendException;
import org.springframework.test.context.bean.override.mockito.MockitoBean;

/** The mail of the evening before; it is noon of Monday 1 June 2026. */
@ChervilTest
class DigestTest {
    @Autowired
    TestSite site;

    @Autowired
    DigestOperations digests;

    @MockitoBean
    Post post;

    private SignedIn keeper;
    private String address;

    @BeforeEach
    void tank() throws Exception {
        when(post.open()).thenReturn(true);
        keeper = site.keeper();
        address = keeper.accountId() + "@example.org";
        site.canister(keeper, site.tank(keeper), "Weir", "2026-03-01");
    }

    private void wants(int hour) throws Exception {
        site.put(keeper, "/api/digest", "{\"address\": \"%s\", \"atHour\": %d}".formatted(address, hour))
                .andExpect(status().isOk());
    }

    private void tomorrowOnly() throws Exception {
        site.put(keeper, "/api/plan/time/people/" + keeper.accountId(), "{\"minutes\": [0, 180, 0, 0, 0, 0, 0]}");
    }

    @Test
    void tomorrow_s_visits_are_sent_once_at_their_hour() throws Exception {
        tomorrowOnly();
        wants(12);

        DigestRound.go(digests);
        DigestRound.go(digests);

        verify(post, times(1)).send(eq(address), contains("Tuesday 2 June: 1 tank"), contains("Rinse the pre-filter"));
    }

    @Test
    void nothing_is_sent_before_its_hour_or_for_a_day_without_visits() throws Exception {
        wants(13);
        DigestRound.go(digests);
        site.put(keeper, "/api/plan/time/people/" + keeper.accountId(), "{\"minutes\": [0, 0, 0, 0, 0, 180, 0]}");
        wants(11);
        DigestRound.go(digests);

        verify(post, never()).send(eq(address), any(), any());
    }

    @Test
    void a_mail_that_failed_is_tried_again() throws Exception {
        tomorrowOnly();
        wants(12);
        doThrow(new MailSendException("no route")).doNothing().when(post).send(eq(address), any(), any());

        DigestRound.go(digests);
        DigestRound.go(digests);
        DigestRound.go(digests);

        verify(post, times(2)).send(eq(address), any(), any());
    }

    @Test
    void without_a_mail_server_nobody_can_want_one() throws Exception {
        when(post.open()).thenReturn(false);

        site.put(keeper, "/api/digest", "{\"address\": \"a@example.org\", \"atHour\": 18}")
                .andExpect(jsonPath("$.errors[0].code").value("no-mail-server"));
        site.put(keeper, "/api/digest", "{\"address\": \"nobody\", \"atHour\": 24}")
                .andExpect(jsonPath("$.errors", hasSize(2)));
    }
}
