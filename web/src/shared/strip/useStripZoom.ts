import { select, zoom, zoomIdentity, type D3ZoomEvent, type ZoomTransform } from 'd3';
import { onBeforeUnmount, onMounted, ref, shallowRef, type Ref } from 'vue';

const CLOSEST = 48;

/** Width of the strip as its frame gives it, and the zoom across it by wheel, pinch and call. */
export function useStripZoom(frame: Ref<HTMLElement | null>, svg: Ref<SVGSVGElement | null>) {
  const width = ref(800);
  const transform = shallowRef<ZoomTransform>(zoomIdentity);
  const zooming = zoom<SVGSVGElement, unknown>()
    .scaleExtent([1, CLOSEST])
    .on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => (transform.value = event.transform));
  const watcher = new ResizeObserver(([entry]) => {
    width.value = Math.max(300, entry!.contentRect.width);
    zooming.translateExtent([
      [0, 0],
      [width.value, 0],
    ]);
    zooming.extent([
      [0, 0],
      [width.value, 100],
    ]);
  });
  onMounted(() => {
    watcher.observe(frame.value!);
    select(svg.value!).call(zooming);
  });
  onBeforeUnmount(() => watcher.disconnect());
  const zoomBy = (factor: number) => void select(svg.value!).call(zooming.scaleBy, factor);
  return { width, transform, zoomBy };
}
