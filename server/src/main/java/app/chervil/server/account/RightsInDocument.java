package app.chervil.server.account;

import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Writes into the API document who may ask for each operation: {@code x-least}, as {@link Right.Least}. */
@Component
@ConditionalOnProperty("springdoc.api-docs.enabled")
class RightsInDocument implements OpenApiCustomizer {
    @Override
    public void customise(io.swagger.v3.oas.models.OpenAPI document) {
        Map<String, Right> lines = RightsTable.ALL.stream().collect(Collectors.toMap(Right::key, Function.identity()));
        document.getPaths().forEach((path, item) -> item.readOperationsMap().forEach((method, operation) -> {
            Right right = lines.get(method.name().toUpperCase(Locale.ROOT) + ' ' + path);
            if (right != null) {
                operation.addExtension("x-least", right.least().name());
            }
        }));
    }
}
