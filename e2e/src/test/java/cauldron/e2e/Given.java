package cauldron.e2e;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * A fresh class of a demo teacher with labs given to it.
 *
 * @param teacher without a browser
 */
record Given(Client teacher, String classId, String name, String code, List<String> assignments) {

    static final String CLOCK = "The lamp keeper's clock";

    /** A class of Ines's; the lab given last is the newest. */
    static Given to(String about, String... labs) throws IOException, InterruptedException {
        Client ines = new Client(App.address());
        ines.ask("/api/session", "{\"userName\":\"ines\",\"secret\":\"" + Chrome.SECRET + "\"}");
        String name = about + " " + UUID.randomUUID().toString().substring(0, 6);
        String made = ines.ask("/api/classes", "{\"name\":\"" + name + "\"}");
        String id = Client.find("\"id\":\"([^\"]+)\"", made);
        String known = ines.get("/api/labs").body();
        List<String> assignments = new ArrayList<>();
        for (String lab : labs) {
            assignments.add(Client.find("\"id\":\"([^\"]+)\"", ines.ask("/api/teaching/assignments", "{\"labId\":\""
                    + Client.find("\"id\":\"([^\"]+)\",[^{}]*\"title\":\"" + lab + "\"", known)
                    + "\",\"classes\":[{\"classId\":\"" + id + "\"}]}")));
        }
        return new Given(ines, id, name, Client.find("\"code\":\"([^\"]+)\"", made), assignments);
    }

    /** One who joins and begins the newest lab. */
    Client student(String studentName) throws IOException, InterruptedException {
        return new Client(App.address()).join(code, studentName);
    }
}
