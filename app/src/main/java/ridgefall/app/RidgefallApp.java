package ridgefall.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@EnableScheduling
public class RidgefallApp {
    public static void main(String[] args) {
        SpringApplication.run(RidgefallApp.class, args);
    }

    /** The only clock of the product; the core is told the time. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
