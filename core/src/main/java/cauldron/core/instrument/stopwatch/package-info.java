/** A clock that is set to zero by hand. */
package cauldron.core.instrument.stopwatch;
