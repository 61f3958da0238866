/** Tasks for those who want to go further. */
package cauldron.core.block.extension;
