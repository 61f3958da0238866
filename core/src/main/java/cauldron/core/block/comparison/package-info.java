/** Tables of what was predicted and what was seen. */
package cauldron.core.block.comparison;
