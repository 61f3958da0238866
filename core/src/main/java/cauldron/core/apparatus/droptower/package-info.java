/** Things let fall in the clock-weight shaft of a lighthouse, through air, thinner or heavier gas, or none. */
package cauldron.core.apparatus.droptower;
