package app.chervil.server.water;

import app.chervil.server.account.SignedIn;
import app.chervil.server.water.HusbandryOperations.AdviceView;
import app.chervil.server.water.HusbandryOperations.ChangeInput;
import app.chervil.server.water.HusbandryOperations.ChangeView;
import app.chervil.server.water.HusbandryOperations.ConditionInput;
import app.chervil.server.water.HusbandryOperations.MedicationEnd;
import app.chervil.server.water.HusbandryOperations.MedicationInput;
import app.chervil.server.water.HusbandryOperations.MedicationView;
import app.chervil.server.water.HusbandryOperations.Question;
import app.chervil.server.water.MediaOperations.MediaDone;
import app.chervil.server.water.MediaOperations.MediaPlan;
import app.chervil.server.water.MediaOperations.MediaVerdict;
import app.chervil.server.water.MediaOperations.MediaView;
import app.chervil.server.water.TankWaterOperations.WaterView;
import app.chervil.server.water.TapOperations.TapInput;
import app.chervil.server.water.TapOperations.TapView;
import app.chervil.server.water.WatchOperations.DueReading;
import jakarta.validation.Valid;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A tank's water over HTTP, and what is done to it. */
@RestController
@RequestMapping("/api")
class WaterController {
    private final TankWaterOperations water;
    private final HusbandryOperations husbandry;
    private final MediaOperations media;
    private final WatchOperations watches;
    private final TapOperations taps;

    WaterController(
            TankWaterOperations water,
            HusbandryOperations husbandry,
            MediaOperations media,
            WatchOperations watches,
            TapOperations taps) {
        this.taps = taps;
        this.watches = watches;
        this.water = water;
        this.husbandry = husbandry;
        this.media = media;
    }

    @GetMapping("/tanks/{tank}/water")
    WaterView find(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return water.find(who, tank);
    }

    /** Readings that past services still ask for, by day. */
    @GetMapping("/tanks/{tank}/watches")
    List<DueReading> watches(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return watches.schedule(who, tank);
    }

    @GetMapping("/tanks/{tank}/water-changes")
    List<ChangeView> changes(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @RequestParam Instant since) {
        return husbandry.changes(who, tank, since);
    }

    @PutMapping("/tanks/{tank}/water-changes/{id}")
    ChangeView change(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable UUID id,
            @Valid @RequestBody ChangeInput input) {
        return husbandry.change(who, tank, id, input);
    }

    @DeleteMapping("/water-changes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeChange(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        husbandry.removeChange(who, id);
    }

    @PostMapping("/water-changes/{id}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restoreChange(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        husbandry.restoreChange(who, id);
    }

    /** What new water brings, as taken for a tank. */
    @GetMapping("/tanks/{tank}/tap")
    List<TapView> tap(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return taps.list(who, tank);
    }

    @PutMapping("/tap")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void saveTap(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody TapInput input) {
        taps.save(who, input);
    }

    @GetMapping("/tanks/{tank}/medications")
    List<MedicationView> medications(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return husbandry.medications(who, tank);
    }

    @PostMapping("/tanks/{tank}/medications")
    List<MedicationView> medicate(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody MedicationInput input) {
        return husbandry.medicate(who, tank, input);
    }

    @PutMapping("/tanks/{tank}/medications/{id}/end")
    List<MedicationView> endMedication(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable long id,
            @Valid @RequestBody MedicationEnd input) {
        return husbandry.endMedication(who, tank, id, input.lastDay());
    }

    @GetMapping("/condition-questions")
    List<Question> questions() {
        return husbandry.questions();
    }

    @GetMapping("/tanks/{tank}/condition-checks")
    List<ConditionView> conditions(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return husbandry.conditions(who, tank);
    }

    @PutMapping("/tanks/{tank}/condition-checks/{id}")
    AdviceView checkCondition(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable UUID id,
            @Valid @RequestBody ConditionInput input) {
        return husbandry.checkCondition(who, tank, id, input);
    }

    /** What the rule says of an exchange of bio media on a day. */
    @PostMapping("/tanks/{tank}/media-verdict")
    MediaVerdict weigh(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @RequestParam LocalDate on,
            @Valid @RequestBody MediaPlan plan) {
        return media.weigh(who, tank, plan, on);
    }

    @GetMapping("/tanks/{tank}/media-replacements")
    List<MediaView> replacements(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return media.list(who, tank);
    }

    @PutMapping("/tanks/{tank}/media-replacements/{id}")
    MediaVerdict replace(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable UUID id,
            @Valid @RequestBody MediaDone done) {
        return media.replace(who, tank, id, done);
    }

    @DeleteMapping("/media-replacements/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeReplacement(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        media.remove(who, id);
    }
}
