/** Questions answered by a labelled drawing. */
package cauldron.core.block.drawing;
