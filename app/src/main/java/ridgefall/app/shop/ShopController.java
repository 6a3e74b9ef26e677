package ridgefall.app.shop;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.http.Problem;
import ridgefall.app.shop.Shop.Settings;
import ridgefall.core.units.Money;
import ridgefall.core.units.NotAllowed;

@RestController
@RequestMapping("/api/shop")
class ShopController {
    private static final BigDecimal LEAST = new BigDecimal("0.0001");
    private static final BigDecimal GREATEST = new BigDecimal("10000");

    private final Shop shop;
    private final List<Priced> priced;

    ShopController(Shop shop, List<Priced> priced) {
        this.shop = shop;
        this.priced = priced;
    }

    @GetMapping
    Settings settings() {
        return shop.settings();
    }

    /**
     * Only a lead; the filter chain says so. Another currency changes nothing until it is said what becomes of prices.
     *
     * @param perOne so much of the new currency one of the old one is, 0.0001 to 10,000; 1 keeps the numbers. Asked for only where
     *     the currency is another
     */
    @PutMapping
    @Transactional
    public Settings change(@RequestBody Settings settings, @RequestParam(required = false) BigDecimal perOne) {
        String before = shop.settings().currency();
        if (!settings.currency().equals(before)) {
            Money.currency(settings.currency());
            if (perOne == null) {
                throw Problem.of(
                        HttpStatus.CONFLICT,
                        "What becomes of the prices?",
                        priced.stream().map(one -> one.inWords(before)).collect(Collectors.joining(", "))
                                + ". The hour, consumables and the comeback are taken as they stand in the form;"
                                + " what was agreed with owners stays in " + before + ".",
                        Map.of("field", "perOne", "allowed", LEAST + " to " + GREATEST));
            }
            if (perOne.compareTo(LEAST) < 0 || perOne.compareTo(GREATEST) > 0) {
                throw new NotAllowed("perOne", perOne, LEAST + " to " + GREATEST);
            }
            priced.forEach(one -> one.become(before, settings.currency(), perOne));
        }
        shop.change(settings);
        return settings;
    }
}
