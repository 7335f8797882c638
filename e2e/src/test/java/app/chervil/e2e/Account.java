package app.chervil.e2e;

import org.junit.jupiter.api.extension.AfterTestExecutionCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** Adds to the failure of a journey what was on the screens and what the servers said, since nobody was watching. */
public final class Account implements AfterTestExecutionCallback {
    @Override
    public void afterTestExecution(ExtensionContext journey) {
        journey.getExecutionException().ifPresent(failure -> Keeper.accounts()
                .forEach(account -> failure.addSuppressed(new AssertionError(account))));
    }
}
