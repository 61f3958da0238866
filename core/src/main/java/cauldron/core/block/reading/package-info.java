/** What to read further. */
package cauldron.core.block.reading;
