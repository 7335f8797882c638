package app.chervil.server.account;

import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Prints the one-time code while there is no keeper, before the first request is answered. */
@Component
@ConditionalOnProperty(name = "chervil.demo", havingValue = "false", matchIfMissing = true)
class SetupNotice implements SmartInitializingSingleton {
    private final AccountOperations operations;
    private final SetupCode code;

    SetupNotice(AccountOperations operations, SetupCode code) {
        this.operations = operations;
        this.code = code;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (operations.needsSetup()) {
            System.out.println("SETUP-CODE " + code.value());
        }
    }
}
