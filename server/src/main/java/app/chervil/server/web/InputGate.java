package app.chervil.server.web;

import app.chervil.server.problem.Rejected;
import app.chervil.server.table.Storable;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Type;
import java.util.ArrayDeque;
import java.util.Deque;
import org.springframework.core.MethodParameter;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamContext;
import tools.jackson.databind.json.JsonMapper;

/**
 * Looks through every JSON body before it becomes anything: lists are short and hold no nulls, numbers are of this world,
 * text can be stored. It runs before validation, so that nobody can make validation itself the work.
 */
@RestControllerAdvice
class InputGate extends RequestBodyAdviceAdapter {
    /** Longest list a request may hold; the longest that the front end sends is a guided service's events. */
    static final int MOST_ELEMENTS = 1000;

    /** Beyond any id, amount or time that is kept. */
    static final double MOST_NUMBER = 1e15;

    private static final int MOST_NESTING = 20;
    private final JsonMapper json;

    InputGate(JsonMapper json) {
        this.json = json;
    }

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return parameter.getParameterType() != byte[].class
                && !Resource.class.isAssignableFrom(parameter.getParameterType());
    }

    @Override
    public HttpInputMessage beforeBodyRead(
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter)
            throws IOException {
        byte[] body = message.getBody().readAllBytes();
        try (JsonParser parser = json.createParser(body)) {
            look(parser);
        } catch (JacksonException unreadable) {
            // The reader says it better: it knows the field.
        }
        return new Read(body, message.getHeaders());
    }

    private static void look(JsonParser parser) {
        Deque<int[]> counts = new ArrayDeque<>();
        for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
            TokenStreamContext place = parser.streamReadContext();
            boolean element = !counts.isEmpty()
                    && counts.peek()[0] >= 0
                    && token != JsonToken.END_ARRAY
                    && token != JsonToken.END_OBJECT;
            if (element && ++counts.element()[0] > MOST_ELEMENTS) {
                throw refused(
                        place.getParent() == null ? place : parent(token, place), "too-many", "This list is too long.");
            }
            switch (token) {
                case START_ARRAY -> counts.push(new int[] {0});
                case START_OBJECT -> counts.push(new int[] {-1});
                case END_ARRAY, END_OBJECT -> counts.pop();
                case VALUE_NULL -> check(!element, place, "not-null", "An entry of this list is missing.");
                case VALUE_STRING, PROPERTY_NAME ->
                    check(
                            Storable.is(parser.getString()),
                            place,
                            "not-text",
                            "This text holds characters that cannot be kept.");
                case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT ->
                    check(
                            Math.abs(parser.getDoubleValue()) <= MOST_NUMBER,
                            place,
                            "out-of-range",
                            "This number is out of range.");
                default -> {}
            }
            check(counts.size() <= MOST_NESTING, place, "too-deep", "This is nested too deeply.");
        }
    }

    private static TokenStreamContext parent(JsonToken token, TokenStreamContext place) {
        boolean opened = token == JsonToken.START_ARRAY || token == JsonToken.START_OBJECT;
        return opened ? place.getParent() : place;
    }

    private static void check(boolean holds, TokenStreamContext place, String code, String message) {
        if (!holds) {
            throw refused(place, code, message);
        }
    }

    private static Rejected refused(TokenStreamContext place, String code, String message) {
        return Rejected.field(path(place), code, message);
    }

    private static String path(TokenStreamContext place) {
        TokenStreamContext parent = place.getParent();
        String before = parent == null ? "" : path(parent);
        if (place.inArray()) {
            return before + '[' + place.getCurrentIndex() + ']';
        }
        String name = place.currentName();
        return name == null ? before : before.isEmpty() ? name : before + '.' + name;
    }

    private static final class Read implements HttpInputMessage {
        private final InputStream body;
        private final HttpHeaders headers;

        Read(byte[] body, HttpHeaders headers) {
            this.body = new ByteArrayInputStream(body);
            this.headers = headers;
        }

        @Override
        public InputStream getBody() {
            return body;
        }

        @Override
        public HttpHeaders getHeaders() {
            return headers;
        }
    }
}
