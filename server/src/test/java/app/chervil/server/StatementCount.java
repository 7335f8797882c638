package app.chervil.server;

import java.sql.Connection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;

/** Sees every statement that really goes to the database. */
@Intercepts(
        @Signature(
                type = StatementHandler.class,
                method = "prepare",
                args = {Connection.class, Integer.class}))
public class StatementCount implements Interceptor {
    private final Map<Thread, List<String>> statements = new ConcurrentHashMap<>();

    @Override
    public Object intercept(Invocation invocation) throws Throwable {
        String sql = ((StatementHandler) invocation.getTarget()).getBoundSql().getSql();
        statements
                .computeIfAbsent(Thread.currentThread(), thread -> new CopyOnWriteArrayList<>())
                .add(sql);
        return invocation.proceed();
    }

    public void reset() {
        statements.clear();
    }

    /** Those of the thread that asks; what is kept in the background is not part of a question. */
    public List<String> statements() {
        return List.copyOf(statements.getOrDefault(Thread.currentThread(), List.of()));
    }
}
