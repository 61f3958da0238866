/** A question answered by a number with its unit. */
package cauldron.core.block.number;
