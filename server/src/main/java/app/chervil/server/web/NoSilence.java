package app.chervil.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.support.DefaultHandlerExceptionResolver;
import org.springframework.web.util.DisconnectedClientHelper;

/**
 * Lets no failure pass for an answer. The framework takes an end of data anywhere among the causes for a visitor who hung up,
 * and ends with an empty 200; a database that goes away while a transaction begins looks the same, and whoever wrote
 * something would believe that it is kept.
 */
@Configuration
class NoSilence implements WebMvcConfigurer {
    @Override
    public void extendHandlerExceptionResolvers(List<HandlerExceptionResolver> resolvers) {
        resolvers.replaceAll(resolver -> resolver instanceof DefaultHandlerExceptionResolver ? new Told() : resolver);
    }

    private static final class Told extends DefaultHandlerExceptionResolver {
        @Override
        protected @Nullable ModelAndView doResolveException(
                HttpServletRequest request, HttpServletResponse response, @Nullable Object handler, Exception failure) {
            return DisconnectedClientHelper.isClientDisconnectedException(failure)
                    ? null
                    : super.doResolveException(request, response, handler, failure);
        }
    }
}
