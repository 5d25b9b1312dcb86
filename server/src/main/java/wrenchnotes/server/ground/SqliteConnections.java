package wrenchnotes.server.ground;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Properties;
import org.apache.commons.dbcp2.DelegatingPreparedStatement;
import org.apache.commons.dbcp2.PoolingConnection;
import org.apache.commons.pool2.impl.GenericKeyedObjectPool;
import org.apache.commons.pool2.impl.GenericKeyedObjectPoolConfig;
import org.springframework.jdbc.datasource.AbstractDataSource;
import org.sqlite.JDBC;
import org.sqlite.SQLiteException;
import org.sqlite.jdbc4.JDBC4Connection;

/**
 * Connections that begin a transaction when they are asked to, and only then. The driver's own begin the next one as soon as one is
 * committed: if another program has the file just then, a commit that is on the disk is told as failed, and the statements
 * after it run without any transaction, each committed by itself.
 *
 * <p>Each keeps the statements that it has prepared: to read a long one costs SQLite more than to run it.
 */
final class SqliteConnections extends AbstractDataSource {

    /** Of one connection; those that were not used for longest make room. */
    private static final int STATEMENTS = 250;
    /** To open a file takes milliseconds. */
    private static final int OPENING_SECONDS = 5;

    private static final GenericKeyedObjectPoolConfig<DelegatingPreparedStatement> KEPT = kept();

    private final String url;
    private final String begin;

    /** @param begin {@code BEGIN IMMEDIATE} for a writer, {@code BEGIN} for a reader */
    SqliteConnections(String url, String begin) {
        this.url = url;
        this.begin = begin;
    }

    @Override
    public Connection getConnection() throws SQLException {
        PoolingConnection connection = new PoolingConnection(new One(url, begin));
        connection.setStatementPool(new GenericKeyedObjectPool<>(connection, KEPT));
        // Whether a transaction has begun is this connection's own to say: a commit ends it.
        connection.setCacheState(false);
        return connection;
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
        return getConnection();
    }

    /** What the pool waits for when it is closed: a connection that is being made just then is closed too. */
    @Override
    public int getLoginTimeout() {
        return OPENING_SECONDS;
    }

    /** As many of the same as are in use at once, of which one is kept. */
    private static GenericKeyedObjectPoolConfig<DelegatingPreparedStatement> kept() {
        GenericKeyedObjectPoolConfig<DelegatingPreparedStatement> config = new GenericKeyedObjectPoolConfig<>();
        config.setMaxTotalPerKey(-1);
        config.setMaxIdlePerKey(1);
        config.setMaxTotal(STATEMENTS);
        config.setBlockWhenExhausted(false);
        config.setJmxEnabled(false);
        return config;
    }

    private static final class One extends JDBC4Connection {

        private final String begin;
        private boolean begun;

        One(String url, String begin) throws SQLException {
            super(url, url.substring(JDBC.PREFIX.length()), new Properties());
            this.begin = begin;
        }

        @Override
        public boolean getAutoCommit() throws SQLException {
            checkOpen();
            return !begun;
        }

        @Override
        public void setAutoCommit(boolean each) throws SQLException {
            checkOpen();
            if (!each && !begun) {
                getDatabase().exec(begin, false);
                begun = true;
            } else if (each) {
                commit();
            }
        }

        @Override
        public void commit() throws SQLException {
            checkOpen();
            if (begun) {
                getDatabase().exec("COMMIT", false);
                begun = false;
            }
        }

        /** A full disk, among other things, makes SQLite roll back by itself: then there is nothing left to do. */
        @Override
        public void rollback() throws SQLException {
            checkOpen();
            if (begun) {
                begun = false;
                try {
                    getDatabase().exec("ROLLBACK", false);
                } catch (SQLiteException e) {
                    if (!String.valueOf(e.getMessage()).contains("no transaction is active")) {
                        throw e;
                    }
                }
            }
        }
    }
}
