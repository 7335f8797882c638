package app.chervil.server.web;

import app.chervil.server.account.SignedIn;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document, from which the front end's types are made. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnProperty("springdoc.api-docs.enabled")
class ApiDescription {
    @Bean
    OpenAPI description() {
        SpringDocUtils.getConfig().addRequestWrapperToIgnore(SignedIn.class);
        return new OpenAPI().info(new Info().title("Chervil").version("1"));
    }

    /** A record's component is required unless it says it may be null or empty. */
    @Bean
    ModelConverter required() {
        return new RequiredComponents();
    }

    private static final class RequiredComponents implements ModelConverter {
        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            if (!chain.hasNext()) {
                return null;
            }
            @Nullable Schema<?> schema = chain.next().resolve(type, context, chain);
            Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
            if (schema != null && raw.isRecord()) {
                @Nullable
                Schema<?> defined = schema.get$ref() == null
                        ? schema
                        : context.getDefinedModels().get(schema.get$ref().replaceFirst(".*/", ""));
                require(defined, raw);
            }
            return schema;
        }

        private static void require(@Nullable Schema<?> schema, Class<?> raw) {
            if (schema == null || schema.getProperties() == null) {
                return;
            }
            for (RecordComponent component : raw.getRecordComponents()) {
                boolean nullable = component.getAnnotatedType().isAnnotationPresent(Nullable.class)
                        || component.getType() == Optional.class;
                boolean listed =
                        schema.getRequired() != null && schema.getRequired().contains(component.getName());
                if (!nullable && !listed && schema.getProperties().containsKey(component.getName())) {
                    schema.addRequiredItem(component.getName());
                }
            }
        }
    }
}
