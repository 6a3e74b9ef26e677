/** Station 6, strip down: battery out of circuit and proven so, then plugs. */
package ridgefall.core.strip;
