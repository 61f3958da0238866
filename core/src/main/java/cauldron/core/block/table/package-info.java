/** A table for readings. */
package cauldron.core.block.table;
