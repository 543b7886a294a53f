/** The header with which a page says that it asks by itself: nobody need be there, and nobody is kept signed in by it. */
export const unattendedHeader = "stair-unattended";
