/** Words to read. */
package cauldron.core.block.text;
