/**
 * Cutting templates: an entry of their own, `@leggero/core/template`, as only the page that makes a sizer loads them.
 */
export * from './box';
export * from './drawing';
export * from './nest';
export * from './packCircles';
export * from './proposeSizes';
export * from './scaleBar';
export * from './sizerGeometry';
export * from './sizes';
export * from './strokeText';
export * from './tiles';
