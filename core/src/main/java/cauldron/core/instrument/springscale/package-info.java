/** A scale for forces. */
package cauldron.core.instrument.springscale;
