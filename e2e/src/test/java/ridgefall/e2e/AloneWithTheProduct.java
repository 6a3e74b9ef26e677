package ridgefall.e2e;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceAccessMode;
import org.junit.jupiter.api.parallel.ResourceLock;

/** Journeys that stop or kill what runs, or look at how quick it is: no other goes on meanwhile. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(RunningProduct.class)
@Tag("alone")
@ResourceLock(value = RunningProduct.NAME, mode = ResourceAccessMode.READ_WRITE)
@interface AloneWithTheProduct {}
