package wrenchnotes.server.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.server.ground.Sql;

/** Reads a check from a row with the columns of its table. */
public final class CheckRows {

    private CheckRows() {}

    public static Check check(ResultSet row) throws SQLException {
        return new Check(
                Stage.valueOf(row.getString("stage")),
                Verdict.valueOf(row.getString("verdict")),
                Optional.ofNullable(row.getString("planned")),
                row.getString("what"),
                row.getBoolean("covers_on"),
                row.getBoolean("powered"),
                row.getString("load"),
                row.getInt("times"),
                row.getString("remark"),
                Optional.ofNullable(row.getString("as_remark")),
                Sql.moment(row));
    }
}
