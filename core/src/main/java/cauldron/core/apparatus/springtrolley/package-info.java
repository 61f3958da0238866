/** A trolley on level rails, drawn by a stretched spring, coasting once its cord is slack. */
package cauldron.core.apparatus.springtrolley;
