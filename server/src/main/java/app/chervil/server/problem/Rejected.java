package app.chervil.server.problem;

import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpStatus;

/** Input that breaks a rule, with every violation found. */
public final class Rejected extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final transient List<Violation> violations;
    private final HttpStatus status;

    public Rejected(List<Violation> violations) {
        this(HttpStatus.UNPROCESSABLE_CONTENT, violations);
    }

    public Rejected(HttpStatus status, List<Violation> violations) {
        super(violations.get(0).message());
        this.violations = List.copyOf(violations);
        this.status = status;
    }

    public static Rejected field(String field, String code, String message) {
        return new Rejected(List.of(new Violation(field, code, message)));
    }

    /** What was sent under an id under which something else is kept: nobody shall believe that it was stored. */
    public static Rejected taken() {
        return new Rejected(
                HttpStatus.CONFLICT,
                List.of(new Violation(
                        "", "id-taken", "Something else is kept under this id already. Reload, then enter it again.")));
    }

    /** Every violation, in the order they were found. */
    public List<Violation> violations() {
        return violations;
    }

    HttpStatus status() {
        return status;
    }

    /**
     * One rule broken.
     *
     * @param field path of the field at fault, as in the request; empty for the whole
     * @param code stable, kebab-case
     * @param message for people
     */
    public record Violation(String field, String code, String message) {}

    /** Gathers violations so that all are told at once. */
    public static final class Gatherer {
        private final List<Violation> found = new ArrayList<>();

        public Gatherer check(boolean holds, String field, String code, String message) {
            if (!holds) {
                found.add(new Violation(field, code, message));
            }
            return this;
        }

        /**
         * Ends the gathering.
         *
         * @throws Rejected if anything was found
         */
        public void done() {
            if (!found.isEmpty()) {
                throw new Rejected(found);
            }
        }
    }
}
