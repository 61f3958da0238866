/** Buffer springs in a screw press: pulled longer and pushed shorter, one, end to end, or side by side. */
package cauldron.core.apparatus.springbench;
