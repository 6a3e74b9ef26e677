package ridgefall.app.shop;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.shop.Shop.Settings;

@RestController
@RequestMapping("/api/shop")
class ShopController {
    private final Shop shop;

    ShopController(Shop shop) {
        this.shop = shop;
    }

    @GetMapping
    Settings settings() {
        return shop.settings();
    }

    /** Only a lead; the filter chain says so. */
    @PutMapping
    Settings change(@RequestBody Settings settings) {
        shop.change(settings);
        return settings;
    }
}
