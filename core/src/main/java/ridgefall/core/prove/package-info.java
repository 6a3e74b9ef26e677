/** Station 12, prove and hand over: everything again with the front seated, and the printable record. */
package ridgefall.core.prove;
