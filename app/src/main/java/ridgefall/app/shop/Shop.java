package ridgefall.app.shop;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.math.BigDecimal;
import java.time.Duration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.decide.Terms;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Money;

/** How the shop reckons, and how long it keeps what it knows of owners. */
@Repository
public class Shop {
    /** Another node may have changed them; asked for by every step of every job, though. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private final JdbcClient jdbc;
    private final LoadingCache<Boolean, Settings> known =
            Caffeine.newBuilder().expireAfterWrite(FRESH).build(any -> read());

    Shop(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param retentionDays after hand-over, 1–3650; then owners' names, contacts and photos are erased */
    public record Settings(
            String currency, BigDecimal ratePerHour, BigDecimal consumables, BigDecimal callback, int retentionDays) {
        public Settings {
            new Terms(ratePerHour, consumables, callback, currency);
            Allowed.between("retentionDays", retentionDays, 1, 3650, "days");
        }

        public Terms terms() {
            return new Terms(ratePerHour, consumables, callback, currency);
        }
    }

    public Settings settings() {
        return known.get(true);
    }

    private Settings read() {
        return jdbc.sql("select currency, rate_per_hour, consumables, callback, retention_days from shop")
                .query(Settings.class)
                .single();
    }

    void change(Settings settings) {
        Money.currency(settings.currency());
        jdbc.sql("""
                        update shop set currency = :currency, rate_per_hour = :rate, consumables = :consumables,
                            callback = :callback, retention_days = :days""")
                .param("currency", settings.currency())
                .param("rate", settings.ratePerHour())
                .param("consumables", settings.consumables())
                .param("callback", settings.callback())
                .param("days", settings.retentionDays())
                .update();
        known.invalidateAll();
    }
}
