package ridgefall.app.reach;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Collection;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import ridgefall.app.http.Problem;
import ridgefall.app.http.Problems;
import tools.jackson.databind.json.JsonMapper;

/**
 * First in line: both doors answer to this machine's own names and addresses, to those its certificate has, and to those they were told
 * of. A page from elsewhere that had its name point here would be taken for ours by a browser.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Doors extends OncePerRequestFilter {
    /** An address, not a name: nothing that would be looked up. */
    private static final Pattern ADDRESS = Pattern.compile("(\\d{1,3}\\.){3}\\d{1,3}|\\[[0-9a-fA-F:.]+]");

    private final BenchNetwork network;
    private final JsonMapper json;
    private final Set<String> names = new HashSet<>();

    Doors(BenchNetwork network, NetworkSettings asked, JsonMapper json) {
        this.network = network;
        this.json = json;
        names.add("localhost");
        ownName().ifPresent(own -> {
            names.add(own);
            names.add(own.replaceFirst("\\..*", ""));
            names.add(own.replaceFirst("\\..*", "") + ".local");
        });
        asked.told().forEach(name -> names.add(name.toLowerCase(Locale.ROOT)));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (answersTo(request.getServerName(), request.getLocalAddr())) {
            chain.doFilter(request, response);
            return;
        }
        Problems.write(
                response,
                json,
                Problem.detail(
                        HttpStatus.MISDIRECTED_REQUEST,
                        "Not known here by this name",
                        "Host is " + Problems.shorten(request.getServerName())
                                + "; allowed: a name or address of this machine, or one that RIDGEFALL_NAMES tells of",
                        Map.of(
                                "field", "Host",
                                "value", Problems.shorten(request.getServerName()),
                                "allowed", "a name or address of this machine, or one that RIDGEFALL_NAMES tells of")));
    }

    /** @param asked as the caller calls it, {@code at} the address of this machine that the call came in by */
    private boolean answersTo(String asked, String at) {
        String name = asked.toLowerCase(Locale.ROOT);
        return names.contains(name) || ADDRESS.matcher(name).matches() && sameAddress(name, at) || certified(name);
    }

    private boolean certified(String name) {
        Collection<String> certified = network.certified();
        return certified.contains(name) || certified.contains(name.replaceFirst("^[^.]+", "*"));
    }

    private static boolean sameAddress(String name, String at) {
        try {
            InetAddress asked = InetAddress.getByName(name);
            InetAddress door = InetAddress.getByName(at);
            return asked.equals(door) || asked.isLoopbackAddress() && door.isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    private static Optional<String> ownName() {
        try {
            return Optional.of(InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT));
        } catch (UnknownHostException e) {
            return Optional.empty();
        }
    }
}
