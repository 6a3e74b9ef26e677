/** Where the course of a job bends: opened again after it was sealed, and words left for whoever goes on. */
package ridgefall.core.detour;
