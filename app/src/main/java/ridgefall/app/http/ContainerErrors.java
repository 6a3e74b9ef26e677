package ridgefall.app.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.json.ProblemDetailJacksonMixin;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** What never reached the app, or was turned away by the container, is told like everything else. */
@Hidden
@RestController
class ContainerErrors implements ErrorController {
    private static final Map<HttpStatus, String> DETAILS = Map.of(
            HttpStatus.BAD_REQUEST, "The address or a header holds what may not stand there",
            HttpStatus.NOT_FOUND, "Nothing is at this address",
            HttpStatus.METHOD_NOT_ALLOWED, "This can't be done at this address",
            HttpStatus.NOT_ACCEPTABLE, "This can't be had in the kind that was asked for",
            HttpStatus.CONTENT_TOO_LARGE, "This is longer than is taken here");

    private final JsonMapper json;

    ContainerErrors(JsonMapper json) {
        this.json = json;
    }

    /** Where the container forwards to; asked for by name there is nothing here. */
    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        Problems.write(response, json, problem(status instanceof Integer code ? code : HttpStatus.NOT_FOUND.value()));
    }

    private static ProblemDetail problem(int code) {
        HttpStatus status = HttpStatus.resolve(code);
        HttpStatus known = status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status;
        return Problem.detail(
                known,
                known.is5xxServerError() ? "Something broke here" : "Can't answer this",
                DETAILS.getOrDefault(known, known.getReasonPhrase()),
                Map.of());
    }

    /** For what is turned away before any servlet is found for it. Made by the container, by its class's name. */
    public static final class Report extends ErrorReportValve {
        private static final JsonMapper PLAIN = JsonMapper.builder()
                .addMixIn(ProblemDetail.class, ProblemDetailJacksonMixin.class)
                .build();

        @Override
        protected void report(Request request, Response response, Throwable thrown) {
            if (response.getStatus() < HttpStatus.BAD_REQUEST.value()
                    || response.getContentWritten() > 0
                    || !response.setErrorReported()) {
                return;
            }
            try {
                Problems.write(response.getResponse(), PLAIN, problem(response.getStatus()));
                response.finishResponse();
            } catch (IOException e) {
                // Whoever asked is gone.
            }
        }
    }

    @Component
    static final class Reports implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
        @Override
        public void customize(TomcatServletWebServerFactory factory) {
            factory.addContextCustomizers(
                    context -> ((StandardHost) context.getParent()).setErrorReportValveClass(Report.class.getName()));
        }
    }
}
