package cauldron.core.apparatus;

import cauldron.core.apparatus.RunTable.Column;
import cauldron.core.apparatus.RunTable.Printed;
import cauldron.core.quantity.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A profile as rows, as it is at the moment shown: one for each point of its lines, with which line it is of where there
 * are several.
 */
final class ProfileTable {

    /** Figures after the point, of the largest value on an axis: as fine as any instrument would read it. */
    private static final int FIGURES = 5;

    private ProfileTable() {
    }

    static RunTable of(Run run, Profile profile) {
        ProfileLines lines = run.profile(profile);
        boolean several = lines.count() > 1;
        List<Column> columns = new ArrayList<>();
        columns.add(column("along", profile.alongAxis()));
        if (several) {
            columns.add(new Column("line", "line", "line", "", true));
        }
        columns.add(column("up", profile.upAxis()));
        List<double[]> points = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (int line = 0; line < lines.count(); line++) {
            double[] all = lines.points(line);
            for (int i = 0; i < all.length; i += 2) {
                points.add(new double[] {all[i], all[i + 1]});
                names.add(lines.name(line));
            }
        }
        RunTable.bounded(points.size());
        Printed along = printed(profile.alongAxis().read(), points, 0);
        Printed up = printed(profile.upAxis().read(), points, 1);
        List<String[]> rows = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            String x = along.print(points.get(i)[0]);
            String y = up.print(points.get(i)[1]);
            rows.add(several ? new String[] {x, names.get(i), y} : new String[] {x, y});
        }
        double[] times = new double[rows.size()];
        Arrays.fill(times, run.time());
        return new RunTable(columns, times, rows);
    }

    private static Column column(String id, Profile.Axis axis) {
        return new Column(id, axis.name(), axis.symbol(), axis.unit(), false);
    }

    private static Printed printed(Unit unit, List<double[]> points, int which) {
        double largest = 0;
        for (double[] point : points) {
            largest = Math.max(largest, Math.abs(unit.fromSi(point[which])));
        }
        int before = largest > 0 ? (int) Math.floor(Math.log10(largest)) + 1 : 1;
        return new Printed(unit, Math.max(0, FIGURES - before));
    }
}
