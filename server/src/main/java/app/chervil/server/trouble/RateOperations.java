package app.chervil.server.trouble;

import app.chervil.core.trouble.Experience;
import app.chervil.core.trouble.Network;
import app.chervil.server.account.SignedIn;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How often causes are met at a site, as its own closed cases say; nothing of it is stored but since when they count. */
@Service
public class RateOperations {
    private final TroubleMapper mapper;
    private final Clock clock;

    RateOperations(TroubleMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** What the site's closed cases say. */
    @Transactional(readOnly = true)
    public RatesView rates(SignedIn who) {
        List<Experience.Closed> closed = closed(who);
        return new RatesView(
                mapper.countedSince(who.siteId()).orElse(null),
                closed.size(),
                Experience.PRIOR_CASES,
                Experience.count(Network.standard(), closed));
    }

    private List<Experience.Closed> closed(SignedIn who) {
        Optional<Instant> since = mapper.countedSince(who.siteId());
        List<Experience.Closed> closed = new ArrayList<>();
        for (CaseRow row : mapper.list(who.siteId(), null)) {
            @Nullable Instant at = row.closedAt();
            @Nullable String cause = row.cause();
            boolean counted = at != null && since.map(at::isAfter).orElse(true);
            if (cause != null && counted) {
                closed.add(new Experience.Closed(row.known().history(), row.complaint(), cause));
            }
        }
        return closed;
    }

    /** Factors on the rates of causes. */
    Map<String, Double> weights(SignedIn who) {
        Map<String, Double> weights = new HashMap<>();
        Experience.count(Network.standard(), closed(who)).forEach(one -> weights.put(one.cause(), one.factor()));
        return weights;
    }

    /** Counts closed cases from now on only. */
    @Transactional
    public RatesView countAnew(SignedIn who) {
        who.mustBeKeeper();
        mapper.saveCounting(who.siteId(), clock.instant());
        return rates(who);
    }

    /** Counts all closed cases again. */
    @Transactional
    public RatesView countAll(SignedIn who) {
        who.mustBeKeeper();
        mapper.deleteCounting(who.siteId());
        return rates(who);
    }
}
