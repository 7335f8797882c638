package app.chervil.server.demo;

import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.NewAccount;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Loads Tern House, an invented visitor centre, into an empty database before the first request is answered. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoSite implements SmartInitializingSingleton {
    private static final Logger LOG = LoggerFactory.getLogger(DemoSite.class);

    private final AccountOperations accounts;
    private final List<DemoChapter> chapters;

    DemoSite(AccountOperations accounts, List<DemoChapter> chapters) {
        this.accounts = accounts;
        this.chapters = chapters;
    }

    @Override
    @Transactional
    public void afterSingletonsInstantiated() {
        if (!accounts.needsSetup()) {
            return;
        }
        SignedIn marit = accounts.create("Tern House", person("Marit"), Role.KEEPER);
        accounts.add(marit, person("Osei"), Role.HELPER);
        accounts.add(marit, person("Lin"), Role.HELPER);
        chapters.forEach(chapter -> chapter.live(marit));
        LOG.info("Demo site loaded");
    }

    /** Nobody knows the password: the demo is entered by a button. */
    private static NewAccount person(String name) {
        String unknown = java.util.UUID.randomUUID().toString();
        return new NewAccount(name.toLowerCase(java.util.Locale.ROOT), name, unknown);
    }
}
