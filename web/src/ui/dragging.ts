export { autoScrollForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element';
export { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
export {
  draggable,
  dropTargetForElements,
  monitorForElements,
} from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
