package app.chervil.server.trial;

import app.chervil.core.trial.Way;
import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** Ways as an array of days, 0 where the thing is left out. */
public class WaysHandler extends BaseTypeHandler<List<Way>> {
    @Override
    public void setNonNullParameter(PreparedStatement statement, int place, List<Way> ways, JdbcType type)
            throws SQLException {
        statement.setArray(
                place,
                statement
                        .getConnection()
                        .createArrayOf(
                                "int",
                                ways.stream().map(way -> way.days().orElse(0)).toArray(Integer[]::new)));
    }

    @Override
    public List<Way> getNullableResult(ResultSet row, String column) throws SQLException {
        return ways(row.getArray(column));
    }

    @Override
    public List<Way> getNullableResult(ResultSet row, int column) throws SQLException {
        return ways(row.getArray(column));
    }

    @Override
    public List<Way> getNullableResult(CallableStatement call, int column) throws SQLException {
        return ways(call.getArray(column));
    }

    private static List<Way> ways(Array stored) throws SQLException {
        return Stream.of((Integer[]) stored.getArray()).map(WaysHandler::way).toList();
    }

    /** A way by its days, 0 where the thing is left out. */
    static Way way(int days) {
        return days == 0 ? Way.WITHOUT : Way.every(days);
    }
}
