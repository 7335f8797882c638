package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.transaction.support.TransactionOperations;

/** Who comes in, where they come to, and what somebody who guesses is told. */
class SignInOperationsTest {
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");
    private static final Instant QUARTER_BEFORE = NOW.minus(Throttle.HOLD);
    private static final SignedIn ADA = new SignedIn(1, 7, "ada", Role.KEEPER);

    private final AccountMapper people = mock(AccountMapper.class);
    private final SignInMapper failures = mock(SignInMapper.class);
    private final SetupCode code = mock(SetupCode.class);
    private final AccountOperations accounts = mock(AccountOperations.class);
    private final Clock clock = Clock.fixed(NOW, ZoneOffset.UTC);
    private final SignInOperations signIns = new SignInOperations(
            new Doors(
                    mock(PassMapper.class),
                    people,
                    new Throttle(failures, clock),
                    TransactionOperations.withoutTransaction(),
                    clock),
            accounts,
            new Passwords(new Bracketed()),
            code);

    @BeforeEach
    void ada() {
        when(people.findHash("ada")).thenReturn(Optional.of("[secret]"));
        when(people.findHash("nobody")).thenReturn(Optional.empty());
        when(people.listPlaces("ada")).thenReturn(List.of(place(1, 7, null), place(4, 8, null)));
        when(people.find(7, 1)).thenReturn(Optional.of(place(1, 7, null)));
    }

    private static AccountRow place(long id, long site, Instant deleted) {
        return new AccountRow(id, site, "Site " + site, deleted, "ada", "ada", id == 1 ? Role.KEEPER : Role.HELPER);
    }

    @Test
    void a_name_is_known_in_whatever_case_and_leads_to_where_the_person_was_last() {
        assertThat(signIns.signIn("  ADA ", "secret", "here")).isEqualTo(ADA);
        verify(failures).deleteFailures("ada", "here", QUARTER_BEFORE);
        verify(failures).saveKnown("ada", "here", NOW);
        verify(people).updateHere(7, 1, NOW);
    }

    @ParameterizedTest
    @CsvSource({"ada, wrong", "nobody, secret", "nobody, nobody has this password"})
    void a_wrong_name_and_a_wrong_password_sound_the_same_and_are_kept(String login, String password) {
        assertThatThrownBy(() -> signIns.signIn(login, password, "here"))
                .isInstanceOf(Rejected.class)
                .hasMessage("Wrong name or password.");
        verify(failures).insertFailure(login, "here", NOW);
    }

    @ParameterizedTest
    @CsvSource({
        // failures of both, of the name, from the address, and whether the person came in from there before
        "5, 5, 5, false, true",
        "5, 5, 5, true, true",
        "4, 4, 4, false, false",
        "0, 50, 0, false, true",
        "0, 50, 0, true, false",
        "0, 0, 30, false, true",
        "0, 0, 30, true, false",
        "4, 49, 29, false, false"
    })
    void guesses_made_elsewhere_do_not_lock_out_who_came_in_from_here_before(
            int ofPair, int ofLogin, int fromAddress, boolean known, boolean held) {
        when(failures.findFailuresOfPair("ada", "here", QUARTER_BEFORE)).thenReturn(ofPair);
        when(failures.findFailuresOf("ada", QUARTER_BEFORE)).thenReturn(ofLogin);
        when(failures.findFailuresFrom("here", QUARTER_BEFORE)).thenReturn(fromAddress);
        when(failures.findKnown("ada", "here", NOW.minus(Duration.ofDays(90)))).thenReturn(known);

        if (held) {
            assertThatThrownBy(() -> signIns.signIn("ada", "secret", "here"))
                    .hasMessage("Too many attempts. Wait a quarter of an hour, then try again.");
            verify(people, never()).findHash(anyString());
        } else {
            assertThat(signIns.signIn("ada", "secret", "here")).isEqualTo(ADA);
        }
    }

    @Test
    void a_deleted_site_is_shut_to_all_but_its_keepers() {
        when(people.listPlaces("ada")).thenReturn(List.of(place(4, 8, NOW)));

        assertThatThrownBy(() -> signIns.signIn("ada", "secret", "here"))
                .hasMessage("Your sites are gone. Ask a keeper to invite you.");

        when(people.listPlaces("ada")).thenReturn(List.of(place(1, 7, NOW)));
        assertThat(signIns.signIn("ada", "secret", "here")).isEqualTo(ADA);
    }

    @Test
    void a_person_goes_only_to_sites_of_their_own() {
        assertThat(signIns.goTo(ADA, 8)).isEqualTo(new SignedIn(4, 8, "ada", Role.HELPER));
        assertThatThrownBy(() -> signIns.goTo(ADA, 9)).isInstanceOf(NotFound.class);
        assertThat(signIns.places(ADA))
                .extracting(SitePlace::name, SitePlace::role, SitePlace::here)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Site 7", Role.KEEPER, true),
                        org.assertj.core.groups.Tuple.tuple("Site 8", Role.HELPER, false));
    }

    @Test
    void a_wrong_code_is_a_failure_from_that_address_and_makes_nothing() {
        NewAccount ben = new NewAccount("ben", "Ben", "a long enough password");
        when(accounts.needsSetup()).thenReturn(true);

        assertThatThrownBy(() -> signIns.setUp("wrong", "Tern House", ben, "here"))
                .hasMessage("That is not the code printed where Chervil was started.");
        verify(failures).insertFailure("", "here", NOW);
        verify(accounts, never()).createFirst(anyString(), any());
    }

    @Test
    void with_a_keeper_there_the_code_opens_nothing() {
        when(code.matches("right")).thenReturn(true);
        NewAccount ben = new NewAccount("ben", "Ben", "a long enough password");

        assertThatThrownBy(() -> signIns.setUp("right", "Tern House", ben, "here"))
                .hasMessage("This site has a keeper already. Sign in instead.");
    }
}
