package app.chervil.server.water;

import app.chervil.core.water.Parameter;

/**
 * Something that can be measured.
 *
 * @param code how readings name it
 * @param unit of stored values; may be empty
 * @param noise what a simple kit cannot tell from zero; zero for the site's own
 */
public record ParameterView(String code, String label, String unit, double noise) {
    static ParameterView of(Parameter parameter) {
        return new ParameterView(parameter.name(), parameter.label(), parameter.unit(), parameter.noise());
    }

    static ParameterView of(WaterRows.OwnRow own) {
        return new ParameterView(own.code(), own.name(), own.unit(), 0);
    }
}
