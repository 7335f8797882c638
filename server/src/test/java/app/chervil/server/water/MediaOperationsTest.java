package app.chervil.server.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anySet;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.StageKind;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Hold.Cause;
import app.chervil.core.water.Permission;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaOperations.MediaDone;
import app.chervil.server.water.MediaOperations.MediaPlan;
import app.chervil.server.water.MediaOperations.MediaVerdict;
import app.chervil.server.water.WaterRows.ReplacementRow;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.context.ApplicationEventPublisher;

/** A tank of ten years with 2,000 g of bio media in stage 11: half of it may be exchanged within 28 days. */
class MediaOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final UUID ID = new UUID(0, 1);
    private static final Hold SPIKE = new Hold(
            Cause.AMMONIA, TODAY.minusDays(1), Optional.empty(), "Ammonia was 0.5 mg/L.", "Two clean readings.");

    private final HusbandryMapper mapper = mock(HusbandryMapper.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final SiteBooks books = mock(SiteBooks.class);
    private final TankBook brook = mock(TankBook.class);
    private final ApplicationEventPublisher events = mock(ApplicationEventPublisher.class);
    private final MediaOperations media = new MediaOperations(
            mapper, tanks, books, events, Clock.fixed(Instant.parse("2026-06-01T10:00:00Z"), ZoneOffset.UTC));

    @BeforeEach
    void tank() {
        Tank tank = mock(Tank.class, RETURNS_DEEP_STUBS);
        when(tank.id()).thenReturn(3L);
        when(tank.establishedOn()).thenReturn(TODAY.minusYears(10));
        when(brook.tank()).thenReturn(tank);
        when(books.tank(KEEPER, 3)).thenReturn(brook);
        filled(stage(11, 2000.0));
        when(mapper.listReplacements(7, 3L)).thenReturn(List.of());
        permitted(new Permission(3, List.of(), Optional.empty()));
    }

    @Test
    void within_the_share_it_is_free_and_kept_with_its_sum() {
        media.replace(KEEPER, 3, ID, done(1000, null));

        assertThat(kept().grams()).isEqualTo(1000);
        assertThat(kept().told())
                .isEqualTo(media.weigh(KEEPER, 3, plan(1000), TODAY).told());
        assertThat(kept().overrideReason()).isNull();
    }

    @Test
    void beyond_the_share_it_is_refused_with_the_sum_at_the_grams() {
        assertThatThrownBy(() -> media.replace(KEEPER, 3, ID, done(1001, null)))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .singleElement()
                        .satisfies(one -> assertThat(one.field()).isEqualTo("media.grams")));
        nothingKept();
    }

    @Test
    void what_was_exchanged_before_counts_with_it() {
        when(mapper.listReplacements(7, 3L)).thenReturn(List.of(row(new UUID(0, 9), TODAY.minusDays(20), 600)));

        assertThat(media.weigh(KEEPER, 3, plan(400), TODAY).within()).isTrue();
        assertThat(media.weigh(KEEPER, 3, plan(401), TODAY).within()).isFalse();
    }

    @Test
    void with_a_reason_it_is_kept_with_the_reason() {
        media.replace(KEEPER, 3, ID, done(2000, "The media had turned to mud."));

        assertThat(kept().overrideReason()).isEqualTo("The media had turned to mud.");
    }

    @Test
    void a_blank_is_no_reason() {
        assertThatThrownBy(() -> media.replace(KEEPER, 3, ID, done(2000, "  "))).isInstanceOf(Rejected.class);
        nothingKept();
    }

    @Test
    void a_hold_refuses_it_in_its_own_words() {
        permitted(new Permission(3, List.of(SPIKE), Optional.empty()));

        assertThatThrownBy(() -> media.replace(KEEPER, 3, ID, done(100, null)))
                .hasMessage("This work is on hold. Ammonia was 0.5 mg/L. Write why it is done anyway.");
        nothingKept();
    }

    @Test
    void work_of_the_week_before_is_told_and_does_not_refuse() {
        permitted(new Permission(3, List.of(), Optional.of(new Earlier(TODAY.minusDays(2), "open canister Weir"))));

        MediaVerdict verdict = media.replace(KEEPER, 3, ID, done(100, null));

        assertThat(verdict.spacing()).startsWith("The bacteria of this tank were disturbed 2 days ago: open canister");
        assertThat(kept().grams()).isEqualTo(100);
    }

    @Test
    void more_than_the_stage_holds_is_a_slip_of_the_pen() {
        assertThatThrownBy(() -> media.replace(KEEPER, 3, ID, done(9000, "I know what I do.")))
                .hasMessage("This stage holds 2000 g.");
        nothingKept();
    }

    @Test
    void media_without_a_weight_cannot_be_weighed() {
        filled(stage(11, 2000.0), stage(12, null));

        MediaVerdict verdict = media.weigh(KEEPER, 3, plan(100), TODAY);

        assertThat(verdict.within()).isFalse();
        assertThat(verdict.told()).isEqualTo("Some bio media of this tank has no weight yet; enter it in its filter.");
    }

    @Test
    void sent_twice_it_is_kept_once() {
        when(mapper.listReplacements(7, 3L)).thenReturn(List.of(row(ID, TODAY, 100)));

        media.replace(KEEPER, 3, ID, done(100, null));

        nothingKept();
    }

    @Test
    void foam_is_no_bio_media_and_the_media_of_another_tank_is_not_here() {
        FilterStage foam = stage(13, 50.0);
        when(foam.kind()).thenReturn(StageKind.COARSE_FOAM);
        filled(foam);

        assertThatThrownBy(() -> media.weigh(KEEPER, 3, new MediaPlan(13L, 10.0), TODAY))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> media.weigh(KEEPER, 3, plan(10), TODAY)).isInstanceOf(NotFound.class);
    }

    @Test
    void what_was_not_there_cannot_be_taken_out() {
        when(mapper.deleteReplacement(anyLong(), any(), any())).thenReturn(0);

        assertThatThrownBy(() -> media.remove(KEEPER, ID)).isInstanceOf(NotFound.class);
    }

    @Test
    void the_latest_exchange_is_listed_first() {
        when(mapper.listReplacements(7, 3L))
                .thenReturn(List.of(row(new UUID(0, 8), TODAY.minusDays(40), 100), row(new UUID(0, 9), TODAY, 200)));

        assertThat(media.list(KEEPER, 3))
                .extracting(MediaOperations.MediaView::grams)
                .containsExactly(200.0, 100.0);
    }

    private void permitted(Permission permission) {
        when(brook.permission(anySet(), anyInt(), any(), any())).thenReturn(permission);
    }

    private void filled(FilterStage... stages) {
        Filter filter = mock(Filter.class);
        when(filter.stages()).thenReturn(List.of(stages));
        CareBook care = mock(CareBook.class);
        when(care.filter()).thenReturn(filter);
        when(brook.filters()).thenReturn(List.of(care));
    }

    private static FilterStage stage(long id, @Nullable Double grams) {
        FilterStage stage = mock(FilterStage.class);
        when(stage.id()).thenReturn(id);
        when(stage.kind()).thenReturn(StageKind.BIO_MEDIA);
        when(stage.massG()).thenReturn(grams == null ? OptionalDouble.empty() : OptionalDouble.of(grams));
        return stage;
    }

    private ReplacementRow kept() {
        ArgumentCaptor<ReplacementRow> row = ArgumentCaptor.forClass(ReplacementRow.class);
        verify(mapper).insertReplacement(eq(7L), row.capture());
        return row.getValue();
    }

    private void nothingKept() {
        verify(mapper, never()).insertReplacement(anyLong(), any());
    }

    private static MediaPlan plan(double grams) {
        return new MediaPlan(11L, grams);
    }

    private static MediaDone done(double grams, @Nullable String reason) {
        return new MediaDone(plan(grams), TODAY, reason);
    }

    private static ReplacementRow row(UUID id, LocalDate on, double grams) {
        return new ReplacementRow(id, 3, 11, on, grams, "told", null, "Ada");
    }
}
