package app.chervil.server.water;

import app.chervil.core.water.MethodCatalogue;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.water.WaterRows.MethodRow;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What can be measured on a site, and with what. */
@Service
public class MethodOperations {
    private final HusbandryMapper mapper;

    MethodOperations(HusbandryMapper mapper) {
        this.mapper = mapper;
    }

    /** Parameters in the order they are shown, the site's own last. */
    @Transactional(readOnly = true)
    public List<ParameterView> parameters(SignedIn who) {
        return Stream.concat(
                        Arrays.stream(Parameter.values()).map(ParameterView::of),
                        mapper.listOwn(who.siteId()).stream().map(ParameterView::of))
                .toList();
    }

    /**
     * One parameter by its code.
     *
     * @throws NotFound if the site has no such parameter
     */
    @Transactional(readOnly = true)
    public ParameterView parameter(SignedIn who, String code) {
        return parameters(who).stream()
                .filter(one -> one.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new NotFound("parameter"));
    }

    /** Adds a parameter of the site's own. */
    @Transactional
    public ParameterView addParameter(SignedIn who, String name, String unit) {
        String plain = name.strip();
        boolean taken = parameters(who).stream().anyMatch(one -> one.label().equalsIgnoreCase(plain));
        new Rejected.Gatherer()
                .check(!taken, "name", "name-taken", "There is a parameter of this name already.")
                .done();
        long id = mapper.insertOwn(who.siteId(), plain, unit.strip()).orElseThrow();
        return parameter(who, "OWN_" + id);
    }

    /** Methods by parameter: the catalogue's, as changed on this site, then the site's own. */
    @Transactional(readOnly = true)
    public List<MethodView> methods(SignedIn who) {
        Map<List<String>, MethodView> all = new LinkedHashMap<>();
        MethodCatalogue.all().stream().map(MethodView::of).forEach(one -> all.put(key(one), one));
        mapper.listMethods(who.siteId()).stream().map(MethodOperations::view).forEach(one -> all.put(key(one), one));
        return List.copyOf(all.values());
    }

    /** Stores a method as its label says, in place of the one of that name. */
    @Transactional
    public List<MethodView> saveMethod(SignedIn who, MethodView method) {
        parameter(who, method.parameter());
        mapper.saveMethod(
                who.siteId(),
                new MethodRow(
                        0, method.parameter(), method.name().strip(), method.limit(), new MethodSteps(method.steps())));
        return methods(who);
    }

    /** What a reading of this parameter by this method cannot tell from zero. */
    double noise(SignedIn who, ParameterView parameter, String method) {
        return methods(who).stream()
                .filter(one ->
                        one.parameter().equals(parameter.code()) && one.name().equals(method) && one.limit() > 0)
                .mapToDouble(MethodView::limit)
                .findFirst()
                .orElse(parameter.noise());
    }

    private static List<String> key(MethodView method) {
        return List.of(method.parameter(), method.name());
    }

    private static MethodView view(MethodRow row) {
        return new MethodView(
                row.parameter(), row.name(), row.limitValue(), row.steps().inOrder());
    }
}
