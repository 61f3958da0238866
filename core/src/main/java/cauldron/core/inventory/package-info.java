/** The list of every apparatus: it stands above the contract and above them all, so nothing goes round in a circle. */
package cauldron.core.inventory;
