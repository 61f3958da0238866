/** Units, dimensions and numbers as students write them: reading, converting and printing. */
package cauldron.core.quantity;
