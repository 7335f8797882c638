package app.chervil.core.sums;

import app.chervil.core.calc.Check;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * One thing a sum asks for.
 *
 * @param name as the API spells it; unique within its sum or row
 * @param type what may stand in it
 * @param measure of numbers; {@link Measure#NUMBER} for all else
 * @param least smallest number or fewest rows
 * @param most largest number or most rows
 * @param otherwise what is taken where nothing stands: a number, a word or a flag
 * @param needed whether it is refused without
 * @param basis where {@code otherwise} comes from
 * @param words that may be chosen, in the order in which they are offered
 * @param row fields of each row of a list
 */
public record Field(
        String name,
        Type type,
        Measure measure,
        double least,
        double most,
        Optional<Object> otherwise,
        boolean needed,
        Basis basis,
        List<String> words,
        List<Field> row) {

    /** What may stand in a field. */
    public enum Type {
        NUMBER,
        WORD,
        FLAG,
        /** A list of numbers. */
        NUMBERS,
        /** A list of rows. */
        ROWS
    }

    public Field {
        Check.within("least", least, -1e9, most);
        words = List.copyOf(words);
        row = List.copyOf(row);
    }

    /** A number that must be given, within the range of its measure. */
    static Field of(String name, Measure measure) {
        return new Field(
                name,
                Type.NUMBER,
                measure,
                measure.least(),
                measure.most(),
                Optional.empty(),
                true,
                Basis.KEEPER,
                List.of(),
                List.of());
    }

    /** One word of an enum. */
    static <E extends Enum<E>> Field word(String name, Class<E> words) {
        return word(
                name, Arrays.stream(words.getEnumConstants()).map(Enum::name).toArray(String[]::new));
    }

    /** One of some words. */
    static Field word(String name, String... words) {
        return plain(name, Type.WORD).offering(List.of(words));
    }

    /** Yes or no. */
    static Field flag(String name) {
        return plain(name, Type.FLAG);
    }

    /** A list of numbers of one measure. */
    static Field numbers(String name, Measure measure, int least, int most) {
        return new Field(
                name,
                Type.NUMBERS,
                measure,
                least,
                most,
                Optional.empty(),
                least > 0,
                Basis.KEEPER,
                List.of(),
                List.of(of(name, measure)));
    }

    /** A list of rows, each with the same fields. */
    static Field rows(String name, int least, int most, Field... row) {
        return new Field(
                name,
                Type.ROWS,
                Measure.NUMBER,
                least,
                most,
                Optional.empty(),
                least > 0,
                Basis.KEEPER,
                List.of(),
                List.of(row));
    }

    private static Field plain(String name, Type type) {
        return new Field(name, type, Measure.NUMBER, 0, 0, Optional.empty(), true, Basis.KEEPER, List.of(), List.of());
    }

    private Field offering(List<String> others) {
        return new Field(name, type, measure, least, most, otherwise, needed, basis, others, row);
    }

    /** The same within another range. */
    Field from(double smallest, double largest) {
        return new Field(name, type, measure, smallest, largest, otherwise, needed, basis, words, row);
    }

    /** The same, which may be left out. */
    Field optional() {
        return new Field(name, type, measure, least, most, otherwise, false, basis, words, row);
    }

    /** The same with a value for where nothing stands; nought is then allowed if it is that value. */
    Field otherwise(Object value) {
        double smallest = value instanceof Number number ? Math.min(least, number.doubleValue()) : least;
        return new Field(name, type, measure, smallest, most, Optional.of(value), false, basis, words, row);
    }

    /** The same with a rule of thumb for where nothing stands. */
    Field rule(double value) {
        return otherwise(value).by(Basis.RULE);
    }

    /** The same, said by another. */
    Field by(Basis source) {
        return new Field(name, type, measure, least, most, otherwise, needed, source, words, row);
    }
}
