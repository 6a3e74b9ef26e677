package ridgefall.app.http;

import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;
import ridgefall.core.units.NotAllowed;
import tools.jackson.core.JacksonException;

/** An answer that is not the wished-for one, as a problem detail (RFC 9457). */
public final class Problem extends ErrorResponseException {
    private static final long serialVersionUID = 1;

    private Problem(ProblemDetail body) {
        super(HttpStatus.valueOf(body.getStatus()), body, null);
    }

    public static Problem of(HttpStatus status, String title, String detail, Map<String, Object> more) {
        return new Problem(detail(status, title, detail, more));
    }

    public static Problem unknownJob(Object jobId) {
        return of(
                HttpStatus.NOT_FOUND,
                "No such job",
                "No job has this number here",
                Map.of("field", "jobId", "value", String.valueOf(jobId), "allowed", "the id of a job of this shop"));
    }

    /** A command's id stands for what was first sent with it, and for nothing else. */
    public static Problem commandUsedBefore(Object commandId) {
        return of(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "Not recorded: this id was used before",
                "The command's id already stands for something else that was sent; this was not recorded",
                Map.of(
                        "field",
                        "commandId",
                        "value",
                        String.valueOf(commandId),
                        "allowed",
                        "a new id for whatever is not the same command once more"));
    }

    /** A value inside a file that can't be taken, named by where it stands there. */
    public static Problem at(String place, NotAllowed refused) {
        return at(place + "/" + refused.field(), refused.value(), refused.allowed());
    }

    /** The same of one that could not even be read. */
    public static Problem at(String place, JacksonException unreadable) {
        Map<String, Object> why = Problems.unreadable(unreadable).getProperties();
        Object field = why.get("field");
        return at(
                "body".equals(field) ? place : place + "/" + field,
                String.valueOf(why.get("value")),
                String.valueOf(why.get("allowed")));
    }

    public static Problem at(String place, String value, String allowed) {
        return of(
                HttpStatus.BAD_REQUEST,
                "Can't take this file",
                place + " is " + said(value) + "; allowed: " + allowed + ". Nothing was changed.",
                Map.of("field", place, "value", String.valueOf(value), "allowed", allowed));
    }

    public static ProblemDetail detail(HttpStatus status, String title, String detail, Map<String, Object> more) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(status, detail);
        body.setTitle(title);
        more.forEach(body::setProperty);
        return body;
    }

    /** The three things a person needs to put a value right. */
    static ProblemDetail badValue(String field, String value, String allowed) {
        return detail(
                HttpStatus.BAD_REQUEST,
                "Can't take this value",
                FieldWords.of(field) + " is " + said(value) + "; allowed: " + allowed,
                Map.of("field", field, "value", String.valueOf(value), "allowed", allowed));
    }

    private static String said(String value) {
        return value == null || value.equals("null") ? "missing" : value.isBlank() ? "empty" : value;
    }
}
