/** A straight rule. */
package cauldron.core.instrument.ruler;
