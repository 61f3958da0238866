/** Questions to begin with. */
package cauldron.core.block.opening;
