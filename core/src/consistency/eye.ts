/** The eye, and how far those who size agree. */
export * from './eyeCheck';
export * from './sizingStudy';
export { controlConstants } from '../statistics/controlConstants';
