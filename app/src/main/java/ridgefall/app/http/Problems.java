package ridgefall.app.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.NonTransientDataAccessException;
import org.springframework.dao.NonTransientDataAccessResourceException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import ridgefall.core.units.NotAllowed;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** Turns whatever went wrong into a problem detail that says what was given and what is allowed. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    /** Classes of SQL states: no connection, no resources, told to stop, lost a lock, a system's own error. */
    private static final List<String> AWAY = List.of("08", "53", "57", "40", "55", "58");

    private static final String DATA_EXCEPTION = "22";

    /** No room left. */
    private static final String DISK_FULL = "53100";

    private static final Pattern REFUSED_VALUE = Pattern.compile("value \\(\"?(.*?)\"?\\)");
    private static final Pattern REFUSED_TOKEN = Pattern.compile("token `JsonToken\\.(\\w+)`");
    private static final Map<String, String> TOKENS = Map.of(
            "START_OBJECT", "an object",
            "START_ARRAY", "a list",
            "VALUE_NULL", "missing",
            "VALUE_TRUE", "true",
            "VALUE_FALSE", "false",
            "VALUE_NUMBER_INT", "a number",
            "VALUE_NUMBER_FLOAT", "a number",
            "VALUE_STRING", "a text");

    /** Tells a problem where no controller is at work yet. */
    public static void write(HttpServletResponse response, JsonMapper json, ProblemDetail problem) throws IOException {
        UsualHeaders.on(response);
        response.setStatus(problem.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), problem);
    }

    @ExceptionHandler(NotAllowed.class)
    ResponseEntity<ProblemDetail> notAllowed(NotAllowed e) {
        return told(badValue(e));
    }

    private static ProblemDetail badValue(NotAllowed e) {
        return Problem.badValue(e.field(), e.value(), e.allowed());
    }

    /** In the one kind that problems have, whatever kind of answer was asked for. */
    private static ResponseEntity<ProblemDetail> told(ProblemDetail problem) {
        return ResponseEntity.status(problem.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }

    @Override
    protected ResponseEntity<Object> createResponseEntity(
            Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.status(status)
                .headers(headers)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    ResponseEntity<ProblemDetail> database(Exception e) {
        if (away(e)) {
            LOG.warn("database: {}", e.getMessage());
            return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                    .header(HttpHeaders.RETRY_AFTER, "2")
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(sqlState(e).equals(DISK_FULL) ? diskFull() : databaseAway());
        }
        String state = sqlState(e);
        return state.startsWith(DATA_EXCEPTION)
                ? told(Problem.badValue("a text or number", "not storable", "text without control characters"))
                : anything(e);
    }

    /** Whether the database is not there, or too busy; all else it says is about what was asked of it. */
    static boolean away(Exception e) {
        String state = sqlState(e);
        return state.isEmpty() || AWAY.stream().anyMatch(state::startsWith);
    }

    private static String sqlState(Exception e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql) {
                return sql.getSQLState() == null ? "" : sql.getSQLState();
            }
        }
        return e instanceof NonTransientDataAccessException && !(e instanceof NonTransientDataAccessResourceException)
                ? "no state: our own call was wrong"
                : "";
    }

    @ExceptionHandler(Exception.class)
    ResponseEntity<ProblemDetail> anything(Exception e) {
        LOG.error("unexpected", e);
        return told(Problem.detail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something broke here",
                "This is our fault. Nothing was changed.",
                Map.of()));
    }

    private static ProblemDetail diskFull() {
        return Problem.detail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The disk is full",
                "Nothing can be recorded until there is room on the machine that Ridgefall runs on; what you entered is kept"
                        + " and sent again",
                Map.of());
    }

    static ProblemDetail databaseAway() {
        return Problem.detail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The journal can't be reached",
                "The database does not answer. Nothing was changed; try again in a moment.",
                Map.of());
    }

    static ProblemDetail tooLarge(long longestBytes) {
        return Problem.detail(
                HttpStatus.CONTENT_TOO_LARGE,
                "Too much at once",
                "body is longer than allowed; allowed: at most " + longestBytes + " bytes",
                Map.of("field", "body", "value", "too long", "allowed", "at most " + longestBytes + " bytes"));
    }

    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String field = e instanceof MethodArgumentTypeMismatchException m ? m.getName() : e.getPropertyName();
        ProblemDetail problem =
                Problem.badValue(field, shorten(String.valueOf(e.getValue())), typeWords(e.getRequiredType()));
        return createResponseEntity(problem, headers, HttpStatus.BAD_REQUEST, request);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof BodyLimit.TooLong tooLong) {
                return createResponseEntity(
                        tooLarge(tooLong.longestBytes()), headers, HttpStatus.CONTENT_TOO_LARGE, request);
            }
            if (cause instanceof NotAllowed n) {
                return createResponseEntity(badValue(n), headers, HttpStatus.BAD_REQUEST, request);
            }
            if (cause instanceof BodyLimit.TooSlow || cause instanceof SocketTimeoutException) {
                return createResponseEntity(tooSlow(), headers, HttpStatus.REQUEST_TIMEOUT, request);
            }
            if (cause instanceof BodiesUnderWay.Refused) {
                return createResponseEntity(tooMany(), headers, HttpStatus.TOO_MANY_REQUESTS, request);
            }
        }
        ProblemDetail problem = e.getCause() instanceof JacksonException json
                ? unreadable(json)
                : Problem.badValue("body", "missing", "what is to be read");
        return createResponseEntity(problem, headers, HttpStatus.BAD_REQUEST, request);
    }

    static ProblemDetail unreadable(JacksonException e) {
        if (e instanceof UnrecognizedPropertyException u) {
            return Problem.badValue(
                    path(u),
                    "not known here",
                    "the fields "
                            + u.getKnownPropertyIds().stream()
                                    .map(String::valueOf)
                                    .sorted()
                                    .collect(Collectors.joining(", ")));
        } else if (e instanceof InvalidTypeIdException t) {
            return Problem.badValue("type", t.getTypeId(), "the name of a fact, such as StretchFreed");
        } else if (e instanceof InvalidFormatException f) {
            return Problem.badValue(path(f), given(f, String.valueOf(f.getValue())), typeWords(f.getTargetType()));
        } else if (e instanceof MismatchedInputException m) {
            return Problem.badValue(path(m), given(m, "missing"), typeWords(m.getTargetType()));
        } else if (e instanceof StreamReadException s) {
            return Problem.badValue(
                    "body",
                    "not JSON at line " + s.getLocation().getLineNr() + ", column "
                            + s.getLocation().getColumnNr(),
                    "a JSON object");
        }
        return Problem.badValue("body", "not readable", "a JSON object");
    }

    /** The reader is closed by now; what stood there survives only in its message. */
    private static String given(DatabindException e, String otherwise) {
        Matcher quoted = REFUSED_VALUE.matcher(e.getOriginalMessage());
        Matcher token = REFUSED_TOKEN.matcher(e.getOriginalMessage());
        if (token.find()) {
            return TOKENS.getOrDefault(token.group(1), otherwise);
        }
        return shorten(quoted.find() && !quoted.group(1).startsWith("but could") ? quoted.group(1) : otherwise);
    }

    private static String path(DatabindException e) {
        List<String> names = e.getPath().stream()
                .map(reference -> reference.getPropertyName() == null
                        ? "[" + reference.getIndex() + "]"
                        : reference.getPropertyName())
                .toList();
        return names.isEmpty() ? "body" : names.get(names.size() - 1);
    }

    private static String typeWords(Class<?> type) {
        if (type == null) {
            return "another kind of value";
        }
        if (type.isEnum()) {
            return "one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(String::valueOf)
                            .collect(Collectors.joining(", "));
        }
        if (type == int.class || type == long.class || type == Integer.class || type == Long.class) {
            return "a whole number";
        }
        if (type.isPrimitive() && type != boolean.class || Number.class.isAssignableFrom(type)) {
            return "a number";
        }
        if (Map.class.isAssignableFrom(type)) {
            return "a JSON object";
        }
        if (Collection.class.isAssignableFrom(type)) {
            return "a list";
        }
        return switch (type.getSimpleName()) {
            case "boolean", "Boolean" -> "true or false";
            case "UUID" -> "an id of 32 hexadecimal digits with dashes";
            case "Instant" -> "a time such as 2026-03-02T08:00:00Z";
            case "String" -> "a text";
            default -> "an object with the fields of " + type.getSimpleName();
        };
    }

    private static ProblemDetail tooSlow() {
        return Problem.detail(
                HttpStatus.REQUEST_TIMEOUT,
                "It came too slowly",
                "What was sent did not come within its time; send it again",
                Map.of("field", "body", "allowed", "a body that comes within 10 s, longer ones at 4 kB a second"));
    }

    private static ProblemDetail tooMany() {
        return Problem.detail(
                HttpStatus.TOO_MANY_REQUESTS,
                "Too much at once",
                "This address is sending as much as it may at once; send it again in a moment",
                Map.of("field", "body", "allowed", "a few at once"));
    }

    public static String shorten(String value) {
        return value.length() <= 60 ? value : value.substring(0, 60) + "…";
    }
}
