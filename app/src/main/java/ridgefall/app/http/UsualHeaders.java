package ridgefall.app.http;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;

/** What every answer carries, also one that the container itself gives before any filter has seen the call. */
public final class UsualHeaders {
    /** Nothing from elsewhere; styles inline because positions on drawings are styles. */
    public static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; "
                    + "font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public static final String PERMISSIONS =
            "camera=(), accelerometer=(), gyroscope=(), microphone=(), geolocation=(), payment=()";

    /** Of the one page that a repaired device opens: what it has is tried there. */
    public static final String PERMISSIONS_OF_THE_PROOF =
            "camera=(self), accelerometer=(self), gyroscope=(self), microphone=(self), geolocation=(), payment=()";

    private static final Map<String, String> ALL = Map.of(
            "Content-Security-Policy", CONTENT_POLICY,
            "Permissions-Policy", PERMISSIONS,
            "Referrer-Policy", "no-referrer",
            "X-Content-Type-Options", "nosniff",
            "X-Frame-Options", "DENY",
            "Cache-Control", "no-store");

    private UsualHeaders() {}

    static void on(HttpServletResponse response) {
        ALL.forEach(response::setHeader);
    }
}
