/** Volume bench: cylinders read by eye, displacement, an overflow can and a balance. */
package cauldron.core.apparatus.volumebench;
