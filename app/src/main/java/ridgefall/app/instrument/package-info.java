/** Instruments that speak SCPI over TCP, what they measure, and stand-ins for trying without one. */
package ridgefall.app.instrument;
