package app.chervil.sim.trouble;

import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Inquiry;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Next;
import app.chervil.core.trouble.Question;
import app.chervil.core.trouble.Repair;
import java.util.Comparator;
import java.util.List;

/** A way of looking for what is wrong. */
interface Searcher {
    void search(Search search);

    /** Told what is wrong: bounds what any way can reach. */
    Searcher TOLD = search -> {
        search.planted().repairs().forEach(search::mend);
        if (!search.over()) {
            search.mend(Repair.ASK_OTHERS);
        }
    };

    /** The finder, with its own numbers, whatever the world's are. */
    static Searcher finder(Claims claims) {
        return search -> {
            Planted planted = search.planted();
            Inquiry inquiry = Inquiry.of(Network.standard(), planted.history(), planted.complaint());
            while (!search.over()) {
                Next next = inquiry.after(search.steps()).next();
                if (next instanceof Next.AskDanger danger) {
                    search.clear(danger.peril().id());
                } else if (next instanceof Next.Ask ask) {
                    claims.add(search.untried(inquiry.presences(search.steps())), planted.repairs());
                    search.ask(ask.question().id());
                } else if (next instanceof Next.Mend mend) {
                    claims.add(search.untried(inquiry.presences(search.steps())), planted.repairs());
                    search.mend(mend.repair().id());
                } else {
                    // It says that it is mended although a second fault is left: the keeper calls somebody.
                    search.mend(Repair.ASK_OTHERS);
                }
            }
        };
    }

    /** A fixed list for each complaint, then what is commonest. */
    static Searcher checklist(Checklists lists) {
        return search -> {
            Planted planted = search.planted();
            for (Checklists.Entry entry : lists.of(planted.complaint())) {
                if (search.over()) {
                    return;
                }
                if (tells(entry, search) && canMend(entry.repair(), planted) && !search.did(entry.repair())) {
                    search.mend(entry.repair());
                }
            }
            for (String repair : commonest(planted)) {
                if (!search.over() && !search.did(repair)) {
                    search.mend(repair);
                }
            }
            if (!search.over()) {
                search.mend(Repair.ASK_OTHERS);
            }
        };
    }

    private static boolean tells(Checklists.Entry entry, Search search) {
        if (entry.look().isEmpty()) {
            return true;
        }
        Planted planted = search.planted();
        Question question = Network.standard().question(entry.look()).orElseThrow();
        return question.fits().fits(planted.history()) && entry.answers().contains(search.ask(entry.look()));
    }

    private static boolean canMend(String repair, Planted planted) {
        return causes(planted).stream()
                .anyMatch(cause -> cause.repairs().on(planted.history().kind()).equals(repair));
    }

    private static List<Cause> causes(Planted planted) {
        return Network.standard().causes().stream()
                .filter(cause -> cause.fits().fits(planted.history()))
                .toList();
    }

    private static List<String> commonest(Planted planted) {
        return causes(planted).stream()
                .sorted(Comparator.comparingDouble(
                        (Cause cause) -> -cause.rate() * cause.shows().getOrDefault(planted.complaint(), 0.002)))
                .map(cause -> cause.repairs().on(planted.history().kind()))
                .distinct()
                .toList();
    }
}
