/** A lamp on the horizon, a horn, or both: how long a watch-keeper takes to answer them. */
package cauldron.core.apparatus.reflextimer;
