package app.chervil.server.compare;

import app.chervil.core.compare.EffectWords;
import app.chervil.core.compare.Effects;
import app.chervil.core.compare.Effects.Effect;
import app.chervil.core.compare.Factor;
import app.chervil.core.compare.SeenRun;
import app.chervil.core.compare.SiteRuns;
import app.chervil.core.site.SiteBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.compare.CompareView.EffectView;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Filters compared over a site's own history; worked out once for a state of the site. */
@Service
public class CompareOperations {
    private final SiteBooks books;

    CompareOperations(SiteBooks books) {
        this.books = books;
    }

    @Transactional(readOnly = true)
    CompareView compare(SignedIn who) {
        return books.recall(who, CompareView.class, CompareOperations::workOut);
    }

    private static CompareView workOut(SiteBook site) {
        List<SeenRun> runs = SiteRuns.of(site);
        List<Effect> effects = Effects.of(runs);
        double days = usual(runs);
        Set<Factor> told = effects.stream().map(Effect::factor).collect(Collectors.toSet());
        return new CompareView(
                runs.size(),
                (int) runs.stream().map(SeenRun::filter).distinct().count(),
                Math.round(days),
                effects.stream().map(effect -> view(effect, days)).toList(),
                Arrays.stream(Factor.values())
                        .filter(factor -> !told.contains(factor))
                        .map(Factor::words)
                        .toList());
    }

    /** Half of all runs were shorter. */
    private static double usual(List<SeenRun> runs) {
        List<Double> days = runs.stream().map(SeenRun::days).sorted().toList();
        return days.isEmpty() ? 0 : days.get(days.size() / 2);
    }

    private static EffectView view(Effect effect, double days) {
        return new EffectView(
                effect.factor(),
                effect.factor().words(),
                effect.ratio(),
                effect.low(),
                effect.high(),
                effect.told(),
                effect.with(),
                effect.without(),
                EffectWords.of(effect, days));
    }
}
