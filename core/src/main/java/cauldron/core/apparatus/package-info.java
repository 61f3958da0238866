/**
 * The contract between an apparatus and everything that uses one: what it declares (manifest), how it
 * runs (experiment, run, recipe), and how it is filmed (film). Nothing here knows any particular
 * apparatus; each has a package of its own below this one and one line in
 * {@link cauldron.core.inventory.Inventory}.
 */
package cauldron.core.apparatus;
