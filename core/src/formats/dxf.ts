/** Every writer of DXF: what takes the drawing apart is large, and they share it. */
export { layDxf } from './lay-dxf.ts';
export { levelDxf, levelsDxf } from './level-dxf.ts';
export { sectionsDxf, type OpeningSection } from './sections-dxf.ts';
