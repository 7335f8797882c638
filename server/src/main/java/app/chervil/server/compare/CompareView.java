package app.chervil.server.compare;

import app.chervil.core.compare.Factor;
import java.util.List;

/**
 * What the runs of a site's filters say together.
 *
 * @param runs that ended with a look
 * @param filters that they are of
 * @param days of a usual run; 0 while there is none
 * @param untold factors of which there were too few runs with or without
 */
record CompareView(int runs, int filters, long days, List<EffectView> effects, List<String> untold) {
    /**
     * What a factor does.
     *
     * @param name in the middle of a sentence
     * @param ratio how many times as fast a filter fills with one more of it
     * @param low lower end of the range that holds the truth four times in five
     * @param high its upper end
     * @param told whether it can be told from chance
     * @param with runs with it
     * @param without runs without
     * @param words the whole of it in sentences
     */
    record EffectView(
            Factor factor,
            String name,
            double ratio,
            double low,
            double high,
            boolean told,
            int with,
            int without,
            String words) {}
}
