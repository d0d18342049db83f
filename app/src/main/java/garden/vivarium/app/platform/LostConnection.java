package garden.vivarium.app.platform;

import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientConnectionException;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Set;
import org.hibernate.exception.JDBCConnectionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

/** By what a connection to the database that could not be had, or was lost on the way, is known: the kinds of failures, not their words. */
public final class LostConnection {

    private static final int MOST_LOOKED_AT = 50;

    private LostConnection() {}

    /**
     * Whether a failure comes of a database that cannot be reached, rather than of what was asked of it. What it was caused by counts as much
     * as what happened on the way out: a rollback that fails since the connection is closed hides the failure that closed it.
     */
    public static boolean isCauseOf(Throwable failure) {
        Set<Throwable> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Throwable> left = new ArrayDeque<>();
        left.add(failure);
        while (!left.isEmpty() && seen.size() < MOST_LOOKED_AT) {
            Throwable f = left.poll();
            if (!seen.add(f)) {
                continue;
            }
            if (isOne(f)) {
                return true;
            }
            add(left, f.getCause());
            for (Throwable s : f.getSuppressed()) {
                left.add(s);
            }
            if (f instanceof TransactionSystemException t) {
                add(left, t.getOriginalException());
            }
            if (f instanceof SQLException s) {
                add(left, s.getNextException());
            }
        }
        return false;
    }

    private static void add(Deque<Throwable> left, Throwable f) {
        if (f != null) {
            left.add(f);
        }
    }

    private static boolean isOne(Throwable f) {
        return f instanceof DataAccessResourceFailureException
                || f instanceof CannotCreateTransactionException
                || f instanceof JDBCConnectionException
                || f instanceof SQLNonTransientConnectionException
                || f instanceof SQLTransientConnectionException
                || f instanceof SQLRecoverableException
                || (f instanceof SQLException s && isConnection(s));
    }

    /**
     * States of class 08, connection exceptions, and of a server that shuts down. What the pool says of a connection that it has closed has
     * neither state nor number, which no answer of a database lacks.
     */
    private static boolean isConnection(SQLException s) {
        String state = s.getSQLState();
        return state == null
                ? s.getClass() == SQLException.class && s.getErrorCode() == 0
                : state.startsWith("08") || state.equals("70100");
    }
}
