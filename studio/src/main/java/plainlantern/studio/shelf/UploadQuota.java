package plainlantern.studio.shelf;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import plainlantern.studio.account.SignedIn;
import plainlantern.studio.quota.Quotas;

/** An upload for which there is no room is refused by the length it announces, before its body is read. */
@Configuration
class UploadQuota implements WebMvcConfigurer, HandlerInterceptor {
    private final Quotas quotas;

    UploadQuota(Quotas quotas) {
        this.quotas = quotas;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/pictures", "/bundles");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getUserPrincipal() instanceof SignedIn member) {
            if (request.getServletPath().equals("/pictures")) quotas.pictures(member.getPrincipal().id(), request.getContentLengthLong());
            else quotas.sheet(member.getPrincipal().id(), 0);
        }
        return true;
    }
}
