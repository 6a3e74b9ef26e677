package ridgefall.app.http;

import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

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

    static ProblemDetail detail(HttpStatus status, String title, String detail, Map<String, Object> more) {
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
                field + " is " + value + "; allowed: " + allowed,
                Map.of("field", field, "value", String.valueOf(value), "allowed", allowed));
    }
}
