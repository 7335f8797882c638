package app.chervil.server.filter;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Unit;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The words for what filters are made of, and the units measures come in, so that no front end repeats them. */
@RestController
class VocabularyController {
    /**
     * All kinds, in the order in which they are offered.
     *
     * @param filterKinds kinds of filter
     * @param stageKinds kinds of stage
     * @param units that sites read and type
     */
    record Vocabulary(List<FilterWord> filterKinds, List<StageWord> stageKinds, List<UnitWord> units) {}

    /** A unit: a stored value is {@code size} times the shown one, plus {@code zero}. */
    record UnitWord(Unit unit, Quantity quantity, String symbol, double size, double zero) {}

    /** A kind of filter; its label begins a sentence. */
    record FilterWord(FilterKind kind, String label) {}

    /**
     * A kind of stage; its label begins a sentence.
     *
     * @param texture what it is made of
     * @param measuredByMass whether its amount is a mass of media
     * @param lies whether it lies in a tray, a cage or a box, rather than being part of the machine
     * @param canBeLeftOut whether a filter runs on without it
     */
    record StageWord(
            StageKind kind,
            String label,
            StageKind.Texture texture,
            boolean measuredByMass,
            boolean lies,
            boolean canBeLeftOut) {}

    @GetMapping("/api/vocabulary")
    Vocabulary vocabulary() {
        return new Vocabulary(
                Arrays.stream(FilterKind.values())
                        .map(kind -> new FilterWord(kind, FirstLetter.upper(kind.words())))
                        .toList(),
                Arrays.stream(StageKind.values())
                        .map(kind -> new StageWord(
                                kind,
                                FirstLetter.upper(kind.words()),
                                kind.texture(),
                                kind.measuredByMass(),
                                kind.lies(),
                                kind.canBeLeftOut()))
                        .toList(),
                Arrays.stream(Unit.values())
                        .map(unit -> new UnitWord(unit, unit.quantity(), unit.symbol(), unit.size(), unit.zero()))
                        .toList());
    }
}
