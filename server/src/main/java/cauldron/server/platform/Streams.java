package cauldron.server.platform;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.task.AsyncTaskExecutor;
import org.springframework.scheduling.concurrent.ThreadPoolTaskExecutor;
import org.springframework.web.servlet.config.annotation.AsyncSupportConfigurer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Who waits at a {@link Desk} is told of it line by line, and each who waits needs somebody to tell: Spring's own eight
 * hands would leave a class of thirty without a word, and end them all after thirty seconds.
 */
@Configuration
class Streams implements WebMvcConfigurer {

    /** As many as may wait at both desks, with those at work. */
    static final int MOST = 128;
    private static final Duration LONGEST = Duration.ofMinutes(10);

    @Override
    public void configureAsyncSupport(AsyncSupportConfigurer streams) {
        streams.setTaskExecutor(hands()).setDefaultTimeout(LONGEST.toMillis());
    }

    /** Threads that come with a stream, each at once, and go soon after it. */
    static AsyncTaskExecutor hands() {
        ThreadPoolTaskExecutor hands = new ThreadPoolTaskExecutor();
        hands.setThreadNamePrefix("stream-");
        hands.setDaemon(true);
        hands.setCorePoolSize(0);
        hands.setMaxPoolSize(MOST);
        hands.setQueueCapacity(0);
        hands.setKeepAliveSeconds(20);
        hands.initialize();
        return hands;
    }
}
