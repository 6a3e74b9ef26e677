package ridgefall.app.shop;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.math.BigDecimal;
import java.time.Duration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.clean.PrimerSchool;
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

    /**
     * @param retentionDays after hand-over, 1–3650; then owners' names, contacts and photos are erased
     * @param primer when a ledge is primed here
     */
    public record Settings(
            String currency,
            BigDecimal ratePerHour,
            BigDecimal consumables,
            BigDecimal callback,
            int retentionDays,
            PrimerSchool primer) {
        public Settings {
            new Terms(ratePerHour, consumables, callback, currency);
            Allowed.between("retentionDays", retentionDays, 1, 3650, "days");
            Allowed.present("primer", primer);
        }

        public Terms terms() {
            return new Terms(ratePerHour, consumables, callback, currency);
        }
    }

    public Settings settings() {
        return known.get(true);
    }

    private Settings read() {
        return jdbc.sql("select currency, rate_per_hour, consumables, callback, retention_days, primer from shop")
                .query(Settings.class)
                .single();
    }

    void change(Settings settings) {
        Money.currency(settings.currency());
        jdbc.sql("""
                        update shop set currency = :currency, rate_per_hour = :rate, consumables = :consumables,
                            callback = :callback, retention_days = :days, primer = :primer""")
                .param("currency", settings.currency())
                .param("rate", settings.ratePerHour())
                .param("consumables", settings.consumables())
                .param("callback", settings.callback())
                .param("days", settings.retentionDays())
                .param("primer", settings.primer().name())
                .update();
        known.invalidateAll();
    }
}
