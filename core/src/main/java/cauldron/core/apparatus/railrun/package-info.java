/** A wagon on a bent rail, with friction, off it and on it again. */
package cauldron.core.apparatus.railrun;
