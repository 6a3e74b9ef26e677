/** Thermometers that speak SCPI over TCP, what they say, and stand-ins for trying without one. */
package ridgefall.app.instrument;
