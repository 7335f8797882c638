package app.chervil.server.storage;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Locale;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.PropertyNamingStrategy;
import tools.jackson.databind.json.JsonMapper;

/**
 * A value that is stored, or gathered by a statement, as JSON.
 *
 * @param <T> type of the value
 */
public abstract class JsonHandler<T> extends BaseTypeHandler<T> {
    private final JsonMapper json;
    private final JavaType type;

    /** How names stand in the text. */
    protected enum Names {
        /** As columns have them, where a statement gathered rows. */
        COLUMNS,
        /** As fields have them, where the value was stored whole. */
        FIELDS;

        private PropertyNamingStrategy strategy() {
            return this == COLUMNS ? new Columns() : PropertyNamingStrategies.LOWER_CAMEL_CASE;
        }
    }

    /** Each capital begins a word, as the database layer has it: litHoursADay is lit_hours_a_day. */
    private static final class Columns extends PropertyNamingStrategies.NamingBase {
        private static final long serialVersionUID = 1;

        @Override
        public String translate(String name) {
            return name.replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT);
        }
    }

    /** Handles a plain type. */
    protected JsonHandler(Class<T> type, Names names) {
        json = JsonMapper.builder()
                .propertyNamingStrategy(names.strategy())
                .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
        this.type = json.getTypeFactory().constructType(type);
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int index, T value, JdbcType jdbcType)
            throws SQLException {
        statement.setString(index, text(value));
    }

    /** A value as it is stored. */
    public final String text(T value) {
        return json.writeValueAsString(value);
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, String column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, int column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    private @Nullable T read(@Nullable String text) {
        return text == null ? null : json.readValue(text, type);
    }
}
