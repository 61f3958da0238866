/**
 * What a sheet is made of. The contract of a block's kind stands here, each kind in a package of its own below; the list
 * of them is {@link cauldron.core.sheet.Blocks}.
 */
package cauldron.core.block;
