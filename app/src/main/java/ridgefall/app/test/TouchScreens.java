package ridgefall.app.test;

import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.test.TouchTrace.Screen;

/** How large a page's pixels are: it fills the face, whichever way it is held. */
final class TouchScreens {
    private TouchScreens() {}

    static Screen of(DeviceProfile profile, double widthPx, double heightPx) {
        double longMm = Math.max(profile.screen().widthMm(), profile.screen().heightMm());
        return new Screen(widthPx, heightPx, Math.max(widthPx, heightPx) / longMm);
    }
}
