/** A glass that enlarges. */
package cauldron.core.instrument.magnifier;
