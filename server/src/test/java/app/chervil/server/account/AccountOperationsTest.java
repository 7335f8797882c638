package app.chervil.server.account;

import static app.chervil.server.TestUnits.american;
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
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The people of a site and its units. Passwords are stored as themselves between brackets here. */
class AccountOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final SignedIn HELPER = new SignedIn(2, 7, "Ben", Role.HELPER);
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");

    private final AccountMapper mapper = mock(AccountMapper.class);
    private final Sessions sessions = mock(Sessions.class);
    private final AccountOperations accounts =
            new AccountOperations(mapper, new Passwords(new Bracketed()), sessions, Clock.fixed(NOW, ZoneOffset.UTC));

    @BeforeEach
    void people() {
        when(mapper.find(7, 1)).thenReturn(Optional.of(row(1, "ada", Role.KEEPER)));
        when(mapper.find(7, 2)).thenReturn(Optional.of(row(2, "ben", Role.HELPER)));
        when(mapper.find(7, 99)).thenReturn(Optional.empty());
        when(mapper.lockKeepers(7)).thenReturn(List.of(1L));
        when(mapper.insertPerson(anyString(), anyString(), any())).thenReturn(1);
        when(mapper.insert(anyLong(), anyString(), anyString(), any(), any())).thenReturn(Optional.of(9L));
    }

    static AccountRow row(long id, String login, Role role) {
        return new AccountRow(id, 7, "Tern House", null, login, login, role);
    }

    private static NewAccount person(String login) {
        return new NewAccount(login, " Ben ", "a long enough password");
    }

    @Test
    void a_name_is_stored_without_spaces_and_capitals_and_the_password_hashed() {
        assertThat(accounts.add(KEEPER, person("  BEN@Tern "), Role.VIEWER))
                .isEqualTo(new Account(9, "ben@tern", "Ben", Role.VIEWER));
        verify(mapper).insertPerson("ben@tern", "[a long enough password]", NOW);
        verify(mapper).insert(7, "ben@tern", "Ben", Role.VIEWER, NOW);
    }

    @ParameterizedTest
    @ValueSource(strings = {"ıda", "аda", "a\u202Eda", "a da", "a", "-ada", "\u200Bada", "ada\u0000"})
    void a_name_that_could_be_taken_for_another_is_refused(String login) {
        assertThatThrownBy(() -> accounts.add(KEEPER, person(login), Role.HELPER))
                .hasMessage("Use 2 to 60 letters from a to z, digits, and . _ @ + - after the first.");
        verify(mapper, never()).insertPerson(anyString(), anyString(), any());
    }

    @Test
    void a_wide_or_joined_character_is_the_plain_one() {
        assertThat(accounts.add(KEEPER, person("ＡＤＡ"), Role.HELPER).login()).isEqualTo("ada");
    }

    @Test
    void a_name_that_looks_like_one_that_is_taken_is_taken() {
        when(mapper.findAlike("b3n1")).thenReturn(true);

        assertThatThrownBy(() -> accounts.add(KEEPER, person("b3n1"), Role.HELPER))
                .hasMessage("This name is taken, or looks like one that is. Choose another.");
    }

    @Test
    void two_who_choose_a_name_at_once_do_not_both_get_it() {
        when(mapper.insertPerson(anyString(), anyString(), any())).thenReturn(0);

        assertThatThrownBy(() -> accounts.add(KEEPER, person("ben"), Role.HELPER))
                .hasMessageStartingWith("This name is taken");
        verify(mapper, never()).insert(anyLong(), anyString(), anyString(), any(), any());
    }

    @Test
    void the_first_site_is_made_once() {
        AccountOperations.Newcomer ada = accounts.newcomer(person("ada"), "keeper.");
        when(mapper.findAny()).thenReturn(true);

        assertThatThrownBy(() -> accounts.createFirst("Tern House", ada))
                .hasMessage("This site has a keeper already. Sign in instead.");
        verify(mapper).lockSetup();
        verify(mapper, never()).insertSite(anyString(), any());
    }

    @Test
    void only_a_keeper_adds_removes_and_chooses() {
        assertThatThrownBy(() -> accounts.add(HELPER, person("ben"), Role.HELPER))
                .hasMessage("Only a keeper may do this.");
        assertThatThrownBy(() -> accounts.remove(HELPER, 1)).hasMessage("Only a keeper may do this.");
        assertThatThrownBy(() -> accounts.changeRole(HELPER, 2, Role.KEEPER)).hasMessage("Only a keeper may do this.");
        assertThatThrownBy(() -> accounts.chooseUnits(HELPER, american(Unit.US_GALLON)))
                .hasMessage("Only a keeper may do this.");
        verify(mapper, never()).updateUnits(anyLong(), any());
    }

    @Test
    void what_somebody_may_do_changes_at_once() {
        accounts.changeRole(KEEPER, 2, Role.VIEWER);

        verify(mapper).updateRole(7, 2, Role.VIEWER);
        verify(sessions).endAll(2);
    }

    @Test
    void who_is_removed_is_out_at_once_and_the_name_is_free_if_they_have_no_other_site() {
        accounts.remove(KEEPER, 2);

        verify(mapper).delete(7, 2, NOW);
        verify(mapper).deleteUnplaced("ben");
        verify(sessions).endAll(2);
    }

    @Test
    void the_last_keeper_is_neither_removed_nor_made_less_nor_leaves() {
        String why = "A site needs a keeper. Make somebody else one first.";

        assertThatThrownBy(() -> accounts.remove(KEEPER, 1)).hasMessage(why);
        assertThatThrownBy(() -> accounts.changeRole(KEEPER, 1, Role.HELPER)).hasMessage(why);
        assertThatThrownBy(() -> accounts.leave(KEEPER)).hasMessage(why);
        verify(mapper, never()).delete(anyLong(), anyLong(), any());
        verify(mapper, never()).updateRole(anyLong(), anyLong(), any());
    }

    @Test
    void with_a_second_keeper_the_first_may_go() {
        when(mapper.lockKeepers(7)).thenReturn(List.of(1L, 3L));

        accounts.leave(KEEPER);

        verify(mapper).delete(7, 1, NOW);
    }

    @Test
    void a_stranger_is_not_here() {
        assertThatThrownBy(() -> accounts.remove(KEEPER, 99)).isInstanceOf(NotFound.class);
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

    @ParameterizedTest
    @CsvSource({
        "aaaaaaaaaa",
        "abababababab",
        "1234567890",
        "0987654321",
        "abcdefghij",
        "qwertyuiop",
        "Password123!",
        "ben-the-keeper",
        "ben-the-keeper1",
        "fishtank2026"
    })
    void a_password_that_anybody_would_try_first_is_refused(String password) {
        NewAccount person = new NewAccount("ben-the-keeper", "Ben", password);

        assertThatThrownBy(() -> accounts.newcomer(person, "person."))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .singleElement()
                        .satisfies(one -> assertThat(one.field() + ' ' + one.code())
                                .isEqualTo("person.password easily-guessed")));
    }

    @ParameterizedTest
    @ValueSource(strings = {"reed mossy kettle", "Ben has 4 newts", "пять сухих вёсел", "k7#mQz!v0Lx"})
    void one_that_nobody_would_is_taken(String password) {
        assertThat(accounts.newcomer(new NewAccount("ben-the-keeper", "Ben", password), "")
                        .hash())
                .isEqualTo("[" + password + "]");
    }
}
