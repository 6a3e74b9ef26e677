/** Rates, currency and retention of this shop. */
package ridgefall.app.shop;
