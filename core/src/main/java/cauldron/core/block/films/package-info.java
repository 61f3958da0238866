/** Recordings to ask for. */
package cauldron.core.block.films;
