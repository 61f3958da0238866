/** What every part of the server stands on: security, problem details, the pages, time. */
@ApplicationModule(displayName = "Platform", type = ApplicationModule.Type.OPEN, allowedDependencies = {})
package cauldron.server.platform;

import org.springframework.modulith.ApplicationModule;
