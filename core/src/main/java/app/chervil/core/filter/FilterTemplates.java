package app.chervil.core.filter;

import static app.chervil.core.filter.Stage.disposable;
import static app.chervil.core.filter.Stage.washable;
import static app.chervil.core.filter.StageKind.*;

import java.util.List;

/** The water path that a new filter of each kind starts with (docs/sources.md#water-paths). */
public final class FilterTemplates {
    private FilterTemplates() {}

    /** Answers stages in the order water meets them; never empty. */
    public static List<Stage> waterPath(FilterKind kind) {
        return switch (kind) {
            case AIR_SPONGE -> List.of(washable(SPONGE), washable(AIR_LINE));
            case HANG_ON_BACK ->
                List.of(
                        washable(STRAINER),
                        washable(PREFILTER_SPONGE),
                        washable(IMPELLER),
                        washable(COARSE_FOAM),
                        washable(MEDIUM_FOAM),
                        disposable(FINE_PAD),
                        washable(BIO_MEDIA));
            case CANISTER ->
                List.of(
                        washable(STRAINER),
                        washable(PREFILTER_SPONGE),
                        washable(HOSES),
                        washable(COARSE_FOAM),
                        washable(MEDIUM_FOAM),
                        disposable(FINE_PAD),
                        washable(BIO_MEDIA),
                        washable(IMPELLER),
                        washable(SEALS));
            case INTERNAL ->
                List.of(washable(STRAINER), washable(COARSE_FOAM), washable(BIO_MEDIA), washable(IMPELLER));
            case SUMP ->
                List.of(
                        washable(OVERFLOW),
                        washable(SOCK),
                        washable(SETTLING),
                        washable(BIO_MEDIA),
                        washable(RETURN_PUMP),
                        washable(HOSES));
            case UV_UNIT -> List.of(disposable(UV_LAMP), washable(UV_SLEEVE), washable(SEALS));
        };
    }
}
