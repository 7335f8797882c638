package app.chervil.server.account;

import java.time.Clock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/** What every way in needs: where passes and people are found, who is held up, and when and how it is written. */
@Component
record Doors(
        PassMapper passes, AccountMapper people, Throttle throttle, TransactionOperations transactions, Clock clock) {}
