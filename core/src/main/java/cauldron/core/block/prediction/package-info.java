/** What a student expects before measuring. */
package cauldron.core.block.prediction;
