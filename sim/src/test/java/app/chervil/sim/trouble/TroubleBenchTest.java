package app.chervil.sim.trouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Complaint;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Repair;
import app.chervil.core.trouble.Step;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TroubleBenchTest {
    private static final TroubleBench.Result RESULT = TroubleBench.run(1, 200, FaultWorld::perturbed);

    @Test
    void whoever_was_told_is_quicker_than_the_finder_and_the_finder_than_a_list() {
        double told = TroubleBench.minutes(RESULT.told());
        double finder = TroubleBench.minutes(RESULT.finder());
        double list = TroubleBench.minutes(RESULT.list());

        assertThat(told).isLessThan(finder);
        assertThat(finder).isLessThan(list);
    }

    @Test
    void a_danger_that_is_there_is_asked_about_first() {
        assertThat(RESULT.dangers()).isPositive();
        assertThat(RESULT.askedFirst()).isEqualTo(RESULT.dangers());
    }

    @Test
    void cases_with_a_danger_are_not_timed() {
        assertThat(RESULT.finder()).hasSize(200 - RESULT.dangers());
        assertThat(RESULT.list()).hasSameSizeAs(RESULT.finder());
    }

    @ParameterizedTest
    @ValueSource(longs = {3, 77, 5001})
    void a_seed_plants_the_same_faults_and_gives_the_same_answers(long seed) {
        Planted one = Planted.drawn(seed, FaultWorld.perturbed(seed));
        Planted other = Planted.drawn(seed, FaultWorld.perturbed(seed));

        assertThat(other.repairs()).isEqualTo(one.repairs());
        assertThat(other.history()).isEqualTo(one.history());
        assertThat(other.answer("onset")).isEqualTo(one.answer("onset"));
    }

    @Test
    void a_fault_is_planted_where_it_can_be_and_complained_of_as_it_shows() {
        LongStream.rangeClosed(1, 300).forEach(seed -> {
            Planted planted = Planted.drawn(seed, FaultWorld.own());
            Complaint complaint =
                    Network.standard().complaint(planted.complaint()).orElseThrow();

            assertThat(complaint.kinds()).contains(planted.history().kind());
            assertThat(planted.faults())
                    .allMatch(fault -> fault.fits().fits(planted.history())
                            && fault.shows().containsKey(complaint.id()));
        });
    }

    @Test
    void a_perturbed_world_keeps_every_row_a_share() {
        FaultWorld.perturbed(4711).questions().forEach(question -> question.rows()
                .forEach((cause, row) -> assertThat(
                                row.stream().mapToDouble(share -> share).sum())
                        .isCloseTo(1, within(1e-9))));
    }

    @Test
    void a_wrong_repair_that_shows_slowly_costs_more_than_its_hands() {
        Search search = new Search(planted("hum", "touching"));

        search.mend("replace-foam");

        assertThat(search.found().minutes()).isCloseTo(20 + 0.5 + 15, within(1e-9));
        assertThat(search.over()).isFalse();
    }

    @Test
    void asking_others_without_need_is_counted_and_ends_it() {
        Search search = new Search(planted("hum", "touching"));

        search.mend(Repair.ASK_OTHERS);

        assertThat(search.found().needlessExit()).isTrue();
        assertThat(search.found().minutes()).isCloseTo(30 + 0.5 + 90, within(1e-9));
        assertThat(search.over()).isTrue();
    }

    @Test
    void it_is_over_once_every_fault_is_mended_and_not_before() {
        Search search = new Search(planted("hum", "touching", "feet-missing"));

        search.mend("pad-contact");
        boolean half = search.over();
        search.mend("new-feet");

        assertThat(half).isFalse();
        assertThat(search.steps().get(0)).isNotEqualTo(new Step.Tried("pad-contact", Step.Outcome.SOLVED));
        assertThat(search.over()).isTrue();
        assertThat(search.found().late()).isFalse();
    }

    @Test
    void a_question_asked_twice_costs_once() {
        Search search = new Search(planted("hum", "touching"));

        search.ask("press");
        double once = search.found().minutes();
        search.ask("press");

        assertThat(search.found().minutes()).isEqualTo(once);
    }

    @Test
    void a_list_goes_on_with_another_and_names_only_what_the_network_knows() {
        Checklists lists = new Checklists();
        Network network = Network.standard();

        assertThat(lists.of("no-flow")).containsAll(lists.of("weak-flow"));
        for (Complaint complaint : network.complaints()) {
            assertThat(lists.of(complaint.id())).isNotEmpty().allSatisfy(entry -> {
                assertThat(network.repair(entry.repair())).isPresent();
                assertThat(entry.look().isEmpty()
                                || network.question(entry.look()).isPresent())
                        .isTrue();
            });
        }
    }

    @Test
    void claims_that_come_true_as_often_as_claimed_leave_no_gap() {
        Claims claims = new Claims();
        for (int i = 0; i < 10; i++) {
            claims.add(Map.of("right", 0.9), i < 9 ? Set.of("right") : Set.of("other"));
        }

        assertThat(claims.gap()).isCloseTo(0, within(1e-9));
        assertThat(claims.trueFrom(8)).isCloseTo(0.9, within(1e-9));
    }

    private static Planted planted(String complaint, String... faults) {
        Network world = FaultWorld.own();
        List<Cause> causes = List.of(faults).stream()
                .map(id -> world.cause(id).orElseThrow())
                .toList();
        Planted any = LongStream.rangeClosed(1, 500)
                .mapToObj(seed -> Planted.drawn(seed, world))
                .filter(one -> causes.stream().allMatch(cause -> cause.fits().fits(one.history())))
                .findFirst()
                .orElseThrow();
        return new Planted(any.seed(), world, any.history(), complaint, causes, Set.of());
    }
}
