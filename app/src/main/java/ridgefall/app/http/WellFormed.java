package ridgefall.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Next in line, signed in or not: an address that is no UTF-8, holds control characters or breaks off in an escape, and
 * a content type that names no kind, or a form, which nothing here takes, are refused before anything further in trips over them.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class WellFormed extends OncePerRequestFilter {
    private final JsonMapper json;

    WellFormed(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<ProblemDetail> flaw = flaw(request);
        if (flaw.isPresent()) {
            Problems.write(response, json, flaw.get());
        } else {
            chain.doFilter(request, response);
        }
    }

    private static Optional<ProblemDetail> flaw(HttpServletRequest request) {
        if (!readable(request.getRequestURI())) {
            return Optional.of(badText("path"));
        }
        String query = request.getQueryString() == null ? "" : request.getQueryString();
        for (String parameter : query.split("&")) {
            if (!readable(parameter)) {
                String name = parameter.replaceFirst("=.*", "");
                return Optional.of(badText(readable(name) && !name.isEmpty() ? name : "query"));
            }
        }
        return badType(request.getContentType());
    }

    private static ProblemDetail badText(String field) {
        return Problem.badValue(
                field, "not readable", "UTF-8 without control characters, other characters as % and two digits");
    }

    /** Whether its escapes are whole and what they stand for is text. */
    private static boolean readable(String escaped) {
        try {
            byte[] bytes =
                    StringUtils.uriDecode(escaped, StandardCharsets.ISO_8859_1).getBytes(StandardCharsets.ISO_8859_1);
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .chars()
                    .noneMatch(Character::isISOControl);
        } catch (IllegalArgumentException | CharacterCodingException e) {
            return false;
        }
    }

    private static Optional<ProblemDetail> badType(String given) {
        try {
            if (given == null) {
                return Optional.empty();
            }
            MediaType kind = MediaType.parseMediaType(given);
            boolean form = kind.getType().equals("multipart") || MediaType.APPLICATION_FORM_URLENCODED.includes(kind);
            if (kind.isConcrete() && !form) {
                return Optional.empty();
            }
        } catch (InvalidMediaTypeException e) {
            // Told like one that says "anything".
        }
        return Optional.of(Problem.detail(
                HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                "Can't take this kind of content",
                "Content-Type is " + Problems.shorten(given) + "; allowed: one kind, such as application/json",
                Map.of(
                        "field", "Content-Type",
                        "value", Problems.shorten(given),
                        "allowed", "one kind, such as application/json")));
    }
}
