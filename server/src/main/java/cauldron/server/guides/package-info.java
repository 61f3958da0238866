/** The guides for teachers, students and the administrator, to read inside the application. */
@ApplicationModule(displayName = "Guides", allowedDependencies = "platform")
package cauldron.server.guides;

import org.springframework.modulith.ApplicationModule;
