package cauldron.core.apparatus;

import java.util.function.DoubleUnaryOperator;

/**
 * Many values of one kind at one instant, such as the speeds of all molecules of a gas, with what theory
 * says of them. Values are in SI.
 *
 * @param values   the first {@code count} of them count
 * @param density  theory's probability density per SI unit, which has the area 1; null where there is none
 * @param marks    values worth a mark, in the order in which the distribution names them
 * @param followed the value of the one that is tagged, or NaN
 */
public record Population(double[] values, int count, DoubleUnaryOperator density, double[] marks, double followed) {
}
