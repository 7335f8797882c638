package app.chervil.core.water;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What of a tank's ammonia is toxic now (docs/sources.md#toxic-ammonia).
 *
 * @param milligramsPerLitre un-ionised ammonia; the most there can be, if the total was below detection
 * @param percent of the total
 * @param atMost whether the total was below detection
 */
public record ToxicNow(double milligramsPerLitre, double percent, ToxicAmmonia.Band band, boolean atMost) {
    /** How long a reading of ammonia says anything of now. */
    private static final Duration FRESH = Duration.ofDays(3);

    /** How far apart readings may lie that are taken together. */
    private static final Duration BESIDE = Duration.ofDays(7);

    private static final double MOST_SALT = 45;

    /**
     * What the latest readings say. Old ones decide nothing; ammonia read too early is at least that much. Salt shifts the
     * balance towards the harmless; without a reading of it fresh water is taken, which errs safely.
     *
     * @param latest of each parameter at most one
     * @return empty without ammonia of the last three days, and pH and temperature within a week of it
     */
    public static Optional<ToxicNow> of(List<Reading> latest, LocalDateTime now) {
        Map<Parameter, Reading> by = latest.stream()
                .filter(one -> one.trusted() || (one.parameter() == Parameter.AMMONIA && one.atLeast()))
                .collect(Collectors.toMap(Reading::parameter, Function.identity()));
        return Optional.ofNullable(by.get(Parameter.AMMONIA))
                .filter(total -> Duration.between(total.at(), now).compareTo(FRESH) <= 0)
                .flatMap(total -> beside(by, Parameter.PH, total, 4, 11)
                        .flatMap(ph -> beside(by, Parameter.TEMPERATURE, total, -2, 40)
                                .map(celsius -> of(total, ph.value(), celsius.value(), salt(by)))));
    }

    private static Optional<Reading> beside(
            Map<Parameter, Reading> by, Parameter parameter, Reading total, double least, double most) {
        return Optional.ofNullable(by.get(parameter))
                .filter(one -> Duration.between(one.at(), total.at()).abs().compareTo(BESIDE) <= 0)
                .filter(one -> one.value() >= least && one.value() <= most);
    }

    private static double salt(Map<Parameter, Reading> by) {
        return Optional.ofNullable(by.get(Parameter.SALINITY))
                .map(one -> Math.min(MOST_SALT, Math.max(0, one.value())))
                .orElse(0.0);
    }

    private static ToxicNow of(Reading total, double ph, double celsius, double salt) {
        double share = ToxicAmmonia.share(ph, celsius, salt);
        boolean below = total.amount() instanceof Amount.Below;
        double most = total.amount() instanceof Amount.Below limit ? limit.limit() : total.value();
        double toxic = most * share;
        return new ToxicNow(toxic, 100 * share, ToxicAmmonia.Band.of(toxic), below);
    }
}
