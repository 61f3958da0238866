/** A graph of a table. */
package cauldron.core.block.graph;
