/** A bob on a cord that swings in a plane. */
package cauldron.core.apparatus.pendulum;
