package app.chervil.server.demo;

import app.chervil.server.account.Account;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.SignedIn;
import app.chervil.server.visit.ServiceOperations;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Writes diaries down as services. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoDiaries {
    private final AccountOperations accounts;
    private final ServiceOperations services;

    DemoDiaries(AccountOperations accounts, ServiceOperations services) {
        this.accounts = accounts;
        this.services = services;
    }

    /** Each service is written down by who did it. */
    void save(SignedIn who, DemoDiary diary) {
        Map<String, SignedIn> people = accounts.list(who).stream()
                .collect(Collectors.toMap(
                        Account::name, one -> new SignedIn(one.id(), who.siteId(), one.name(), one.role())));
        diary.save(people, services);
    }
}
