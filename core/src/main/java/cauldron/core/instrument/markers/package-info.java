/** Marks set on single frames. */
package cauldron.core.instrument.markers;
