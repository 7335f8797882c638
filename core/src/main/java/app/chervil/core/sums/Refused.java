package app.chervil.core.sums;

/**
 * Why a sum was not worked out.
 *
 * @param field at fault, {@code catches[1].seconds} within a list
 */
public record Refused(Code code, String field) implements Outcome {
    /** What is wrong with a field. */
    public enum Code {
        /** Nothing stands there. */
        MISSING,
        /** It is no number, no such word, or outside what is sensible. */
        RANGE,
        /** It contradicts something else. */
        IMPOSSIBLE,
        /** It could harm animals or people. */
        UNSAFE
    }

    static Refused missing(Field field) {
        return new Refused(Code.MISSING, field.name());
    }

    static Refused range(Field field) {
        return new Refused(Code.RANGE, field.name());
    }

    static Refused impossible(Field field) {
        return new Refused(Code.IMPOSSIBLE, field.name());
    }

    static Refused unsafe(Field field) {
        return new Refused(Code.UNSAFE, field.name());
    }
}
