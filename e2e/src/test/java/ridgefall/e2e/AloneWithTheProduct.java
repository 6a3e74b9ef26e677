package ridgefall.e2e;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;

/** Journeys that stop or kill what runs and are handed it for that: they come after all others, in a run of their own. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(RunningProduct.class)
@Tag("alone")
@interface AloneWithTheProduct {}
