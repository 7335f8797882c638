package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Unit;
import app.chervil.server.account.AccountMapper.Person;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Who comes in, and what somebody who guesses is told. Passwords are stored as themselves between brackets here. */
class AccountOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final SignedIn HELPER = new SignedIn(2, 7, "Ben", Role.HELPER);
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");
    private static final Instant QUARTER_BEFORE = Instant.parse("2026-06-01T09:45:00Z");
    private static final NewAccount BEN = new NewAccount(" Ben@Tern ", " Ben ", "a long enough password");

    private final AccountMapper mapper = mock(AccountMapper.class);
    private final SetupCode code = mock(SetupCode.class);
    private final AccountOperations accounts =
            new AccountOperations(mapper, new Bracketed(), code, Clock.fixed(NOW, ZoneOffset.UTC));

    @BeforeEach
    void somebody() {
        when(mapper.findByLogin("ada")).thenReturn(Optional.of(row(1, Role.KEEPER)));
        when(mapper.findByLogin("nobody")).thenReturn(Optional.empty());
    }

    @Test
    void a_name_is_known_in_whatever_case_and_with_spaces_around_it() {
        assertThat(accounts.signIn("  ADA ", "secret", "here").accountId()).isEqualTo(1);
        verify(mapper).deleteFailures("ada", QUARTER_BEFORE);
    }

    @ParameterizedTest
    @CsvSource({"ada, wrong", "nobody, secret", "nobody, nobody has this password"})
    void a_wrong_name_and_a_wrong_password_sound_the_same_and_are_kept(String login, String password) {
        assertThatThrownBy(() -> accounts.signIn(login, password, "here"))
                .isInstanceOf(Rejected.class)
                .hasMessage("Wrong name or password.");
        verify(mapper).insertFailure(login, "here", NOW);
    }

    @ParameterizedTest
    @CsvSource({"5, 0", "9, 3", "0, 30"})
    void after_too_many_failures_even_the_right_password_waits(int ofLogin, int fromAddress) {
        when(mapper.findFailuresOf("ada", QUARTER_BEFORE)).thenReturn(ofLogin);
        when(mapper.findFailuresFrom("here", QUARTER_BEFORE)).thenReturn(fromAddress);

        assertThatThrownBy(() -> accounts.signIn("ada", "secret", "here"))
                .hasMessage("Too many attempts. Wait a quarter of an hour, then try again.");
        verify(mapper, never()).findByLogin(anyString());
    }

    @Test
    void one_failure_short_of_that_the_right_password_still_opens() {
        when(mapper.findFailuresOf("ada", QUARTER_BEFORE)).thenReturn(4);
        when(mapper.findFailuresFrom("here", QUARTER_BEFORE)).thenReturn(29);

        assertThat(accounts.signIn("ada", "secret", "here").name()).isEqualTo("Ada");
    }

    @Test
    void a_site_is_set_up_once_and_with_the_code_that_was_printed() {
        when(mapper.findAny()).thenReturn(false);
        when(code.matches("right")).thenReturn(true);
        when(mapper.insertSite("Tern House", NOW)).thenReturn(7L);
        when(mapper.insert(7, new Person("ben@tern", "Ben"), Role.KEEPER, "[a long enough password]", NOW))
                .thenReturn(Optional.of(9L));

        assertThat(accounts.setUp("right", " Tern House ", BEN, "here"))
                .isEqualTo(new SignedIn(9, 7, "Ben", Role.KEEPER));
        verify(mapper).lockSetup();
    }

    @Test
    void a_wrong_code_is_a_failure_from_that_address_and_makes_nothing() {
        assertThatThrownBy(() -> accounts.setUp("wrong", "Tern House", BEN, "here"))
                .hasMessage("That is not the code printed where Chervil was started.");
        verify(mapper).insertFailure("", "here", NOW);
        verify(mapper, never()).insertSite(anyString(), any());
    }

    @Test
    void with_a_keeper_there_the_code_opens_nothing() {
        when(mapper.findAny()).thenReturn(true);
        when(code.matches("right")).thenReturn(true);

        assertThatThrownBy(() -> accounts.setUp("right", "Tern House", BEN, "here"))
                .hasMessage("This site has a keeper already. Sign in instead.");
    }

    @Test
    void a_name_that_is_taken_says_so() {
        when(mapper.insert(anyLong(), any(), any(), anyString(), any())).thenReturn(Optional.empty());

        assertThatThrownBy(() -> accounts.addHelper(KEEPER, BEN)).hasMessage("This name is taken. Choose another.");
    }

    @Test
    void only_the_keeper_adds_removes_and_chooses() {
        assertThatThrownBy(() -> accounts.addHelper(HELPER, BEN)).hasMessage("Only the keeper may do this.");
        assertThatThrownBy(() -> accounts.remove(HELPER, 3)).hasMessage("Only the keeper may do this.");
        assertThatThrownBy(() -> accounts.chooseUnits(HELPER, american(Unit.US_GALLON)))
                .hasMessage("Only the keeper may do this.");
        verify(mapper, never()).updateUnits(anyLong(), any());
    }

    @Test
    void units_are_chosen_for_the_whole_site() {
        SiteUnits chosen = american(Unit.US_GALLON);

        accounts.chooseUnits(KEEPER, chosen);

        verify(mapper).updateUnits(7, chosen);
        assertThat(chosen.measures().say(Quantity.FLOW, 378.5411784)).isEqualTo("100 gal/h");
    }

    @Test
    void a_volume_is_not_chosen_in_degrees() {
        assertThatThrownBy(() -> accounts.chooseUnits(KEEPER, american(Unit.FAHRENHEIT)))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .extracting(Rejected.Violation::field)
                        .containsExactly("volume"));
        verify(mapper, never()).updateUnits(anyLong(), any());
    }

    private static SiteUnits american(Unit volume) {
        return new SiteUnits(
                volume,
                Unit.OUNCE,
                Unit.FOOT,
                Unit.US_TEASPOON,
                Unit.FAHRENHEIT,
                Unit.PPM,
                Unit.PPM_CACO3,
                Unit.SPECIFIC_GRAVITY,
                SiteUnits.DateOrder.MONTH_FIRST,
                DayOfWeek.SUNDAY,
                SiteUnits.DecimalSign.POINT,
                "USD");
    }

    @Test
    void who_is_removed_is_out_at_once() {
        when(mapper.find(7, 2)).thenReturn(Optional.of(row(2, Role.HELPER)));

        accounts.remove(KEEPER, 2);

        verify(mapper).delete(7, 2, NOW);
        verify(mapper).deleteSessions(row(2, Role.HELPER).signedIn().getName());
    }

    @Test
    void the_keeper_stays_and_a_stranger_is_not_here() {
        when(mapper.find(7, 1)).thenReturn(Optional.of(row(1, Role.KEEPER)));
        when(mapper.find(7, 99)).thenReturn(Optional.empty());

        assertThatThrownBy(() -> accounts.remove(KEEPER, 1)).hasMessage("The keeper cannot be removed.");
        assertThatThrownBy(() -> accounts.remove(KEEPER, 99)).isInstanceOf(NotFound.class);
        verify(mapper, never()).delete(anyLong(), anyLong(), any());
    }

    private static AccountRow row(long id, Role role) {
        return new AccountRow(id, 7, "ada", "Ada", role, "[secret]");
    }

    private static final class Bracketed implements PasswordEncoder {
        @Override
        public String encode(CharSequence password) {
            return "[" + password + "]";
        }

        @Override
        public boolean matches(CharSequence password, String hash) {
            return encode(password).equals(hash);
        }
    }
}
