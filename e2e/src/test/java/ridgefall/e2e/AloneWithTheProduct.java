package ridgefall.e2e;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Journeys that stop or kill what runs and are handed it for that, and pictures of what a shop is planned. Theirs is a product of their own: nobody else finds it gone,
 * and they need not wait until all others are through. They take the longest and so begin first.
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(RunningProduct.class)
@Order(1)
@interface AloneWithTheProduct {}
