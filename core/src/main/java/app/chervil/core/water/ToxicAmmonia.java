package app.chervil.core.water;

import app.chervil.core.calc.Check;

/** The un-ionised share of total ammonia, which is what harms (docs/sources.md#toxic-ammonia). */
public final class ToxicAmmonia {
    private static final double KELVIN = 273.15;

    private ToxicAmmonia() {}

    /**
     * Share of total ammonia that is un-ionised: f = 1 ÷ (10^(pKa − pH) + 1), pKa = 0.09018 + 2729.92 ÷ T (Emerson et al.
     * 1975), plus 0.116 · I in salt water, I = 19.9273 S ÷ (1000 − 1.005109 S) the ionic strength (US EPA 1989).
     *
     * @param ph 4 to 11
     * @param celsius −2 to 40
     * @param saltGramsPerLitre salinity S in g/L, taken as ‰; 0 to 45
     * @return 0 to 1
     * @throws IllegalArgumentException if a value is out of range
     */
    public static double share(double ph, double celsius, double saltGramsPerLitre) {
        Check.within("ph", ph, 4, 11);
        return 1 / (Math.pow(10, pka(celsius, saltGramsPerLitre) - ph) + 1);
    }

    /**
     * The pH at which half of it is un-ionised.
     *
     * @param celsius −2 to 40
     * @param saltGramsPerLitre 0 to 45
     * @throws IllegalArgumentException if a value is out of range
     */
    public static double pka(double celsius, double saltGramsPerLitre) {
        Check.within("celsius", celsius, -2, 40);
        Check.within("saltGramsPerLitre", saltGramsPerLitre, 0, 45);
        double ionicStrength = 19.9273 * saltGramsPerLitre / (1000 - 1.005109 * saltGramsPerLitre);
        return 0.09018 + 2729.92 / (celsius + KELVIN) + 0.116 * ionicStrength;
    }

    /** What a concentration of un-ionised ammonia means for the animals. */
    public enum Band {
        CALM(0, "Below what is known to harm."),
        STRAIN(0.02, "Strains gills over weeks. Feed less, look for the cause."),
        HARM(0.05, "Harms within days. Water change, stop feeding, test daily."),
        DANGER(0.2, "Dangerous within hours. Large water change now, and air.");

        private final double from;
        private final String words;

        Band(double from, String words) {
            this.from = from;
            this.words = words;
        }

        /** Where it begins, in mg/L. */
        public double from() {
            return from;
        }

        public String words() {
            return words;
        }

        /**
         * The band a concentration falls into; a band begins at its own bound.
         *
         * @param milligramsPerLitre un-ionised ammonia, 0 or above
         */
        public static Band of(double milligramsPerLitre) {
            Band found = CALM;
            for (Band band : values()) {
                if (milligramsPerLitre >= band.from) {
                    found = band;
                }
            }
            return found;
        }
    }
}
