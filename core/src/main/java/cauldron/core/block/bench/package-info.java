/** An open bench in a lab. */
package cauldron.core.block.bench;
