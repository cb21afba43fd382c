package plainlantern.studio.demo;

/**
 * The colours of an hour, 0xRRGGBB.
 *
 * @param sky    from the top of the sky to the horizon
 * @param cloud  lit edge of the clouds
 * @param far    the farthest ridge
 * @param near   the nearest ridge
 * @param mist   what lies at the feet of the ridges
 * @param sun    the sun's or moon's own colour
 * @param glow   how far its light reaches, 0 to 1
 */
record Light(int[] sky, int cloud, int far, int near, int mist, int sun, double glow) {
    static final Light DAWN = new Light(new int[] {0x5E6A9C, 0xB58AA6, 0xF2A98B, 0xFFD9A0}, 0xFFD2B8, 0xC69AA6, 0x2E2A45,
            0xF6C7A8, 0xFFF3CF, 0.8);
    static final Light MORNING = new Light(new int[] {0x6C9AC6, 0x9CC0DA, 0xD3E1E2, 0xF7EBD2}, 0xFFFFFF, 0xA9BECB, 0x27424C,
            0xE3EAE6, 0xFFFBE8, 0.55);
    static final Light NOON = new Light(new int[] {0x2F74B5, 0x5E9CCD, 0x9CC7E0, 0xD7EAEE}, 0xFFFFFF, 0x8FB0C0, 0x1F4A3E,
            0xCFE2E4, 0xFFFFF4, 0.4);
    static final Light DUSK = new Light(new int[] {0x433F6B, 0x86527F, 0xD9776A, 0xFFC06B}, 0xFFA98A, 0x8E5C7C, 0x1E1A33,
            0xE09A80, 0xFFE9A8, 0.9);
    static final Light EMBER = new Light(new int[] {0x2A2440, 0x6A2F4A, 0xC24E3C, 0xFFA24A}, 0xFF8A5C, 0x6F3B52, 0x150F1E,
            0xC86B50, 0xFFD987, 1.0);
    static final Light BLUE_HOUR = new Light(new int[] {0x16264A, 0x2B4A7C, 0x5E82AE, 0xC9B7B4}, 0x8FA8CC, 0x4A6690, 0x0D1830,
            0x8197B5, 0xFFF0D0, 0.4);
    static final Light NIGHT = new Light(new int[] {0x070B1C, 0x101A38, 0x22335C, 0x3F5178}, 0x6D7CA3, 0x263657, 0x04070F,
            0x3C4C70, 0xF4F1DF, 0.5);
    static final Light STORM = new Light(new int[] {0x2F3A44, 0x55636B, 0x8E9791, 0xE8D9A8}, 0xD9D2BC, 0x6E7C80, 0x17211F,
            0xA9ADA0, 0xFFF6CE, 0.75);
    static final Light FROST = new Light(new int[] {0x8FB3D6, 0xB9D0E4, 0xE2DEE8, 0xFBE3DA}, 0xFFFFFF, 0xCBD3E6, 0x5A6E8C,
            0xF1EFF4, 0xFFFDF2, 0.5);
}
