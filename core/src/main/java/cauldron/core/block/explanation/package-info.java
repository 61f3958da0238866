/** A written explanation. */
package cauldron.core.block.explanation;
