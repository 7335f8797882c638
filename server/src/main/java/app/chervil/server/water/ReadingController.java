package app.chervil.server.water;

import app.chervil.server.account.SignedIn;
import app.chervil.server.water.ReadingOperations.Doubt;
import app.chervil.server.water.SeriesOperations.Around;
import app.chervil.server.water.SeriesOperations.SeriesView;
import app.chervil.server.water.TankWaterOperations.WaterView;
import app.chervil.server.water.TransferOperations.ImportPreview;
import app.chervil.server.water.TransferOperations.ImportText;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

/** Readings over HTTP. */
@RestController
@RequestMapping("/api")
class ReadingController {
    private final ReadingOperations readings;
    private final TankWaterOperations water;
    private final SeriesOperations series;
    private final MethodOperations methods;
    private final TransferOperations transfer;

    ReadingController(
            ReadingOperations readings,
            TankWaterOperations water,
            SeriesOperations series,
            MethodOperations methods,
            TransferOperations transfer) {
        this.readings = readings;
        this.water = water;
        this.series = series;
        this.methods = methods;
        this.transfer = transfer;
    }

    @GetMapping("/parameters")
    List<ParameterView> parameters(@AuthenticationPrincipal SignedIn who) {
        return methods.parameters(who);
    }

    @PostMapping("/parameters")
    @ResponseStatus(HttpStatus.CREATED)
    ParameterView addParameter(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody OwnParameter own) {
        return methods.addParameter(who, own.name(), own.unit());
    }

    @GetMapping("/test-methods")
    List<MethodView> methods(@AuthenticationPrincipal SignedIn who) {
        return methods.methods(who);
    }

    @PutMapping("/test-methods")
    List<MethodView> saveMethod(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody MethodView method) {
        return methods.saveMethod(who, method);
    }

    @GetMapping("/tanks/{tank}/readings")
    List<ReadingView> list(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @RequestParam(defaultValue = "0") int skip,
            @RequestParam(defaultValue = "50") int limit) {
        return readings.list(who, tank, skip, limit);
    }

    /** Keeps a set, each value once, and answers how the water is now. */
    @PostMapping("/tanks/{tank}/readings")
    WaterView keep(@AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody ReadingSet set) {
        readings.keep(who, tank, set);
        return water.find(who, tank);
    }

    @PostMapping("/tanks/{tank}/readings/doubts")
    List<Doubt> doubts(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody ReadingSet set) {
        return readings.doubts(who, tank, set);
    }

    @DeleteMapping("/readings/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        readings.remove(who, id);
    }

    @PostMapping("/readings/{id}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        readings.restore(who, id);
    }

    @GetMapping("/tanks/{tank}/series")
    SeriesView series(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @RequestParam LocalDate from,
            @RequestParam LocalDate to) {
        return series.series(who, tank, from, to);
    }

    /** One parameter around the services that did a task. */
    @GetMapping("/tanks/{tank}/around")
    List<Around> around(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @RequestParam long task,
            @RequestParam String parameter) {
        return series.around(who, tank, task, parameter);
    }

    /** Tasks around which something can be shown. */
    @GetMapping("/tanks/{tank}/tasks-done")
    Set<Long> done(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return series.done(who, tank);
    }

    @GetMapping(value = "/tanks/{tank}/readings.csv", produces = "text/csv")
    ResponseEntity<String> export(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        ContentDisposition file =
                ContentDisposition.attachment().filename("readings.csv").build();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(transfer.export(who, tank));
    }

    /** What a file would bring in; nothing is stored. */
    @PostMapping("/tanks/{tank}/readings/import-preview")
    ImportPreview preview(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody ImportText text) {
        return transfer.preview(who, tank, text.csv());
    }

    /** Brings a file in whose every row is good. */
    @PostMapping("/tanks/{tank}/readings/import")
    ImportPreview bringIn(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody ImportText text) {
        return transfer.bringIn(who, tank, text.csv());
    }

    /** A parameter of the site's own. */
    record OwnParameter(
            @NotBlank(message = "Give it a name.") @Size(max = 40, message = "At most 40 characters.")
            String name,

            @NotNull @Size(max = 12, message = "At most 12 characters.")
            String unit) {}
}
