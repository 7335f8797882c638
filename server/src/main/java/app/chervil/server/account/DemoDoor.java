package app.chervil.server.account;

import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The invented accounts of the demo, entered by a button; exists in demo mode only. */
@Component
@ConditionalOnProperty("chervil.demo")
public class DemoDoor {
    private final AccountMapper mapper;

    DemoDoor(AccountMapper mapper) {
        this.mapper = mapper;
    }

    List<Entry> entries() {
        return DemoPeople.ALL.stream()
                .flatMap(login -> mapper.listPlaces(login).stream().limit(1))
                .map(account -> new Entry(account.login(), account.name(), account.role()))
                .toList();
    }

    /**
     * The person behind a button.
     *
     * @throws app.chervil.server.problem.NotFound if the login is not one of the demo's
     */
    public SignedIn enter(String login) {
        return DemoPeople.ALL.stream()
                .filter(login::equals)
                .flatMap(known -> mapper.listPlaces(known).stream())
                .findFirst()
                .map(AccountRow::signedIn)
                .orElseThrow(() -> new app.chervil.server.problem.NotFound("account"));
    }

    /** An account behind a button. */
    public record Entry(String login, String name, Role role) {}

    /** Logins of the demo's invented people. */
    static final class DemoPeople {
        static final List<String> ALL = List.of("marit", "osei");

        private DemoPeople() {}
    }
}
