/** A tape between two points. */
package cauldron.core.instrument.tape;
