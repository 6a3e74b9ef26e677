package ridgefall.app.reach;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import ridgefall.core.units.NotAllowed;

/** A setting that can't be taken ends the start in its own words, not in a trace. */
class StartRefused extends AbstractFailureAnalyzer<NotAllowed> {
    @Override
    protected FailureAnalysis analyze(Throwable root, NotAllowed cause) {
        return new FailureAnalysis(cause.getMessage(), "Set " + cause.field() + " to " + cause.allowed(), cause);
    }
}
