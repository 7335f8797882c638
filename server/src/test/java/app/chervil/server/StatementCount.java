package app.chervil.server;

import java.sql.Connection;
import java.util.ArrayList;
import java.util.List;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.springframework.stereotype.Component;

/** Sees every statement that really goes to the database. */
@Component
@Intercepts(
        @Signature(
                type = StatementHandler.class,
                method = "prepare",
                args = {Connection.class, Integer.class}))
public class StatementCount implements Interceptor {
    private final List<String> statements = new ArrayList<>();

    @Override
    public Object intercept(Invocation invocation) throws Throwable {
        statements.add(((StatementHandler) invocation.getTarget()).getBoundSql().getSql());
        return invocation.proceed();
    }

    public void reset() {
        statements.clear();
    }

    public List<String> statements() {
        return List.copyOf(statements);
    }
}
