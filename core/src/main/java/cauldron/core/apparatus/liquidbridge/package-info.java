/** A drop between two round faces that are drawn apart until it parts. */
package cauldron.core.apparatus.liquidbridge;
