/** A light beam and a clock that is started and stopped by what cuts it. */
package cauldron.core.instrument.beamtimer;
