package app.chervil.server.web;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * How values are read, in bodies as in addresses: whole numbers are whole, enums are names, days lie between 1950 and
 * 2100.
 */
@Configuration(proxyBeanMethods = false)
class StrictReading implements WebMvcConfigurer {
    static final LocalDate FIRST_DAY = LocalDate.of(1950, 1, 1);
    static final LocalDate LAST_DAY = LocalDate.of(2100, 12, 31);

    @Bean
    JsonMapperBuilderCustomizer strictJson() {
        return builder -> builder.disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .enable(
                        DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .addModule(new SimpleModule("days")
                        .addDeserializer(LocalDate.class, new Days())
                        .addDeserializer(Instant.class, new Moments()));
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, LocalDate.class, StrictReading::day);
        registry.addConverter(String.class, Instant.class, StrictReading::moment);
    }

    private static LocalDate day(String text) {
        LocalDate day = LocalDate.parse(text);
        if (day.isBefore(FIRST_DAY) || day.isAfter(LAST_DAY)) {
            throw new DateTimeException("a day lies between 1950 and 2100");
        }
        return day;
    }

    private static Instant moment(String text) {
        Instant moment = Instant.parse(text);
        int year = moment.atOffset(java.time.ZoneOffset.UTC).getYear();
        if (year < FIRST_DAY.getYear() || year > LAST_DAY.getYear()) {
            throw new DateTimeException("a time lies between 1950 and 2100");
        }
        return moment;
    }

    private static final class Days extends StdDeserializer<LocalDate> {
        Days() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getString();
            try {
                return day(text);
            } catch (DateTimeException wrong) {
                return (LocalDate) context.handleWeirdStringValue(LocalDate.class, text, "no day from 1950 to 2100");
            }
        }
    }

    private static final class Moments extends StdDeserializer<Instant> {
        Moments() {
            super(Instant.class);
        }

        @Override
        public Instant deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getString();
            try {
                return moment(text);
            } catch (DateTimeException wrong) {
                return (Instant) context.handleWeirdStringValue(Instant.class, text, "no time from 1950 to 2100");
            }
        }
    }
}
