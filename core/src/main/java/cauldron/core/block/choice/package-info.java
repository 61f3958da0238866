/** Questions answered by choosing, with a reason. */
package cauldron.core.block.choice;
