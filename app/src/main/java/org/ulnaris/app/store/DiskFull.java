package org.ulnaris.app.store;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.io.IOException;
import java.sql.SQLException;
import java.util.Set;
import org.h2.api.ErrorCode;
import org.h2.mvstore.MVStoreException;

/**
 * A disk without room: H2 fails the write that meets it and then closes itself. Its connections are thrown away, so that the next one opens
 * it anew: reading goes on at once, writing when there is room.
 */
public class DiskFull implements SQLExceptionOverride {
    private static final Set<Integer> CODES = Set.of(
            ErrorCode.GENERAL_ERROR_1,
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2,
            ErrorCode.DATABASE_IS_CLOSED,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN,
            ErrorCode.CONNECTION_BROKEN_1);

    /** What the pool says of a connection that it threw away for one of these. */
    private static final String THROWN_AWAY = "Connection is closed";

    @java.lang.Override
    public Override adjudicate(SQLException problem) {
        return CODES.contains(problem.getErrorCode()) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
    }

    private static boolean comesFromAFile(Throwable problem) {
        Throwable cause = problem.getCause();
        return cause != null
                && (cause instanceof IOException || cause instanceof MVStoreException || comesFromAFile(cause));
    }

    /** Whether {@code problem} comes from a disk that takes no more, or from the database that it closed. */
    public static boolean isBehind(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && THROWN_AWAY.equals(sql.getMessage())) {
                return true;
            }
            if (cause instanceof SQLException sql && CODES.contains(sql.getErrorCode())) {
                return sql.getErrorCode() != ErrorCode.GENERAL_ERROR_1 || comesFromAFile(sql);
            }
        }
        return false;
    }
}
