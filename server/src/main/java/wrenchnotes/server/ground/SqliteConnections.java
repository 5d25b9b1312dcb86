package wrenchnotes.server.ground;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Properties;
import org.springframework.jdbc.datasource.AbstractDataSource;
import org.sqlite.JDBC;
import org.sqlite.SQLiteException;
import org.sqlite.jdbc4.JDBC4Connection;

/**
 * Connections that begin a transaction when they are asked to, and only then. The driver's own begin the next one as soon as one is
 * committed: if another program has the file just then, a commit that is on the disk is told as failed, and the statements
 * after it run without any transaction, each committed by itself.
 */
final class SqliteConnections extends AbstractDataSource {

    private final String url;
    private final String begin;

    /** @param begin {@code BEGIN IMMEDIATE} for a writer, {@code BEGIN} for a reader */
    SqliteConnections(String url, String begin) {
        this.url = url;
        this.begin = begin;
    }

    @Override
    public Connection getConnection() throws SQLException {
        return new One(url, begin);
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
        return getConnection();
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
