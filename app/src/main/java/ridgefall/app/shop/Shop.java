package ridgefall.app.shop;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.math.BigDecimal;
import java.time.Duration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.sheet.Said;
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
     * @param language of days and numbers on paper; {@code timeZone}, {@code temperature} and {@code length} are as {@link Said}
     *     has them
     */
    public record Settings(
            String currency,
            BigDecimal ratePerHour,
            BigDecimal consumables,
            BigDecimal callback,
            int retentionDays,
            PrimerSchool primer,
            String language,
            String timeZone,
            String temperature,
            String length) {
        public Settings {
            new Terms(ratePerHour, consumables, callback, currency);
            Allowed.between("retentionDays", retentionDays, 1, 3650, "days");
            Allowed.present("primer", primer);
            Said.of(language, timeZone, temperature, length);
        }

        public Terms terms() {
            return new Terms(ratePerHour, consumables, callback, currency);
        }
    }

    /** How it writes on paper. */
    public Said said() {
        Settings now = settings();
        return Said.of(now.language(), now.timeZone(), now.temperature(), now.length());
    }

    public Settings settings() {
        return known.get(true);
    }

    private Settings read() {
        return jdbc.sql("""
                        select currency, rate_per_hour, consumables, callback, retention_days, primer, language, time_zone,
                            temperature, length
                        from shop""").query(Settings.class).single();
    }

    void change(Settings settings) {
        Money.currency(settings.currency());
        jdbc.sql("""
                        update shop set currency = :currency, rate_per_hour = :rate, consumables = :consumables,
                            callback = :callback, retention_days = :days, primer = :primer, language = :language,
                            time_zone = :zone, temperature = :temperature, length = :length""")
                .param("currency", settings.currency())
                .param("rate", settings.ratePerHour())
                .param("consumables", settings.consumables())
                .param("callback", settings.callback())
                .param("days", settings.retentionDays())
                .param("primer", settings.primer().name())
                .param("language", settings.language())
                .param("zone", settings.timeZone())
                .param("temperature", settings.temperature())
                .param("length", settings.length())
                .update();
        known.invalidateAll();
    }
}
