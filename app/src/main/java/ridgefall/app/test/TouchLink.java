package ridgefall.app.test;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import ridgefall.app.http.Problem;

/**
 * Whoever comes by the link of a proof has shown a token that opens one before a word of theirs is read, and has so many calls and bytes
 * and no more: far beyond a whole proof, far below what a disk would notice.
 */
@Component
class TouchLink implements HandlerInterceptor, WebMvcConfigurer {
    /** Half an hour of them, five a second. */
    static final int MOST_CALLS = 9000;

    static final long MOST_BYTES = 32L << 20;

    private final TouchProofs proofs;

    TouchLink(TouchProofs proofs) {
        this.proofs = proofs;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/touch/*/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!(request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> path)
                || !(path.get("token") instanceof String token)) {
            return true;
        }
        if (request.getHeader("Transfer-Encoding") != null) {
            throw Problem.of(
                    HttpStatus.LENGTH_REQUIRED,
                    "How long is it?",
                    "Content-Length is missing",
                    Map.of("field", "Content-Length", "allowed", "the length of what follows, bytes"));
        }
        TouchProofs.Used used =
                proofs.use(token, Math.max(0, request.getContentLengthLong())).orElseThrow(TouchLink::notOpen);
        if (used.calls() > MOST_CALLS || used.bytes() > MOST_BYTES) {
            throw Problem.of(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "This link has taken all that it takes",
                    "The bench makes another",
                    Map.of(
                            "field", used.calls() > MOST_CALLS ? "calls" : "bytes",
                            "value", used.calls() > MOST_CALLS ? used.calls() : used.bytes(),
                            "allowed", used.calls() > MOST_CALLS ? "at most " + MOST_CALLS : "at most " + MOST_BYTES));
        }
        return true;
    }

    static RuntimeException notOpen() {
        return Problem.of(
                HttpStatus.NOT_FOUND,
                "This link is not open",
                "It was used up, called off, or is older than half an hour; the bench makes another.",
                Map.of());
    }
}
