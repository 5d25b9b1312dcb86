package wrenchnotes.server.figures;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.support.GenericApplicationContext;

/** Listens at the database while one request is answered, so that the very same SQL can be run bare. */
public class Overhearing implements ApplicationContextInitializer<GenericApplicationContext> {

    /** One statement as it was run: its text, and the calls that set its parameters. */
    public record Statement(String sql, List<Setter> setters) {

        public record Setter(Method method, Object[] arguments) {}

        /** Runs it and reads every column of every row; gives the number of rows. */
        int run(Connection connection) throws SQLException {
            try (PreparedStatement statement = connection.prepareStatement(sql)) {
                for (Setter setter : setters) {
                    set(statement, setter);
                }
                try (ResultSet rows = statement.executeQuery()) {
                    int columns = rows.getMetaData().getColumnCount();
                    int count = 0;
                    while (rows.next()) {
                        for (int column = 1; column <= columns; column++) {
                            rows.getObject(column);
                        }
                        count++;
                    }
                    return count;
                }
            }
        }

        private static void set(PreparedStatement statement, Setter setter) throws SQLException {
            try {
                setter.method().invoke(statement, setter.arguments());
            } catch (IllegalAccessException | InvocationTargetException e) {
                throw new SQLException(e);
            }
        }
    }

    public static final class Ear implements QueryExecutionListener {

        private final List<Statement> heard = new ArrayList<>();

        /** What was run since it was last asked. */
        public synchronized List<Statement> heard() {
            List<Statement> all = List.copyOf(heard);
            heard.clear();
            return all;
        }

        @Override
        public void beforeQuery(ExecutionInfo execution, List<QueryInfo> queries) {
            // What counts is what was run.
        }

        @Override
        public synchronized void afterQuery(ExecutionInfo execution, List<QueryInfo> queries) {
            for (QueryInfo query : queries) {
                List<Statement.Setter> setters = query.getParametersList().stream()
                        .flatMap(List::stream)
                        .map(operation -> new Statement.Setter(operation.getMethod(), operation.getArgs()))
                        .toList();
                heard.add(new Statement(query.getQuery(), setters));
            }
        }
    }

    @Override
    public void initialize(GenericApplicationContext shop) {
        Ear ear = new Ear();
        shop.getBeanFactory().registerSingleton("ear", ear);
        shop.getBeanFactory().addBeanPostProcessor(new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return name.equals("shop")
                        ? ProxyDataSourceBuilder.create((DataSource) bean)
                                .listener(ear)
                                .build()
                        : bean;
            }
        });
    }
}
