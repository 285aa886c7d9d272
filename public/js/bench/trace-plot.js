// Lead share (and total vertical force, where there is one) over time.
import uPlot from '../../vendor/uplot/uPlot.esm.js';

const css = (name) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

export class TracePlot {
  constructor(box, stage, seek) {
    this.box = box;
    this.stage = stage;
    this.host = box.querySelector('.plot');
    this.now = document.createElement('div');
    this.now.className = 'now';
    this.build();
    new ResizeObserver(() => {
      this.plot.setSize(this.size());
      this.draw(stage.t);
    }).observe(this.host);

    let held = false;
    const move = (e) => {
      stage.halt();
      if (e.type === 'pointerdown') this.edge = this.plot.over.getBoundingClientRect().left;
      seek(this.plot.posToVal(e.clientX - this.edge, 'x'));
    };
    this.host.addEventListener('pointerdown', (e) => {
      held = true;
      this.host.setPointerCapture(e.pointerId);
      move(e);
    });
    this.host.addEventListener('pointermove', (e) => held && move(e));
    this.host.addEventListener('pointerup', () => {
      held = false;
    });
    this.host.addEventListener(
      'wheel',
      (e) => {
        e.preventDefault();
        stage.do(e.deltaY > 0 ? 'sample-on' : 'sample-back');
      },
      { passive: false },
    );
  }

  size() {
    return { width: Math.max(120, this.host.clientWidth), height: Math.max(90, this.host.clientHeight) };
  }

  restyle() {
    this.plot.destroy();
    this.build();
  }

  build() {
    const { trace } = this.stage.evidence;
    const time = Array.from({ length: (trace.share ?? trace.cop[0]).length }, (_, i) => trace.t0 + i / trace.rate);
    const other = this.stage.overlay?.(time);
    this.data = [
      time,
      trace.share ?? time.map(() => null),
      ...(trace.total && !other ? [trace.total] : []),
      ...(other ? [other] : []),
    ];
    const [ink, quiet, rule, lead, warn, accent] = ['--ink', '--quiet', '--rule', '--lead', '--warn', '--accent'].map(
      css,
    );
    const font = '12px "Atkinson Next"';
    const axis = { stroke: quiet, font, grid: { stroke: rule, width: 1 }, ticks: { show: false } };
    const force = Boolean(trace.total) && !other;
    this.plot = new uPlot(
      {
        ...this.size(),
        padding: [6, force ? 0 : 12, 0, 0],
        legend: { show: false },
        cursor: { show: false },
        scales: {
          x: { time: false, range: () => [this.stage.start, this.stage.end] },
          y: { range: [0, 100] },
          force: { range: [50, 190] },
        },
        axes: [
          { ...axis, size: 24, values: (u, v) => v.map((s) => `${s.toFixed(1)} s`) },
          { ...axis, size: 44, splits: () => [0, 25, 50, 75, 100], values: (u, v) => v.map((s) => `${s}`) },
          ...(force
            ? [
                {
                  ...axis,
                  scale: 'force',
                  side: 1,
                  size: 46,
                  grid: { show: false },
                  splits: () => [50, 100, 150],
                  values: (u, v) => v.map((s) => `${s} %`),
                },
              ]
            : []),
        ],
        series: [
          {},
          { stroke: lead, width: 2.5, points: { show: false } },
          ...(force ? [{ scale: 'force', stroke: quiet, width: 1.2, dash: [2, 3], points: { show: false } }] : []),
          ...(other ? [{ stroke: accent, width: 2, dash: [7, 4], points: { show: false } }] : []),
        ],
        hooks: {
          drawClear: [
            (u) => {
              this.quality(u, warn);
              this.stations(u, ink, quiet, rule);
            },
          ],
        },
      },
      this.data,
      this.host,
    );
    this.plot.over.append(this.now);
    this.now.style.top = '0';
    this.now.style.bottom = '0';
    this.now.style.height = '100%';
  }

  /** Spans in which the instrument failed: slanted lines over the plot, so that colour is not all that tells. */
  quality(u, warn) {
    const g = u.ctx;
    for (const finding of this.stage.evidence.quality ?? []) {
      if (finding.from_s === null || finding.effect === 'unaffected') continue;
      const a = Math.max(u.bbox.left, u.valToPos(finding.from_s, 'x', true));
      const b = Math.min(u.bbox.left + u.bbox.width, Math.max(u.valToPos(finding.to_s, 'x', true), a + 3));
      if (b <= a) continue;
      g.save();
      g.beginPath();
      g.rect(a, u.bbox.top, b - a, u.bbox.height);
      g.clip();
      g.strokeStyle = warn;
      g.globalAlpha = finding.severity === 'serious' ? 0.55 : 0.3;
      g.lineWidth = 1.5 * devicePixelRatio;
      g.beginPath();
      for (let x = a - u.bbox.height; x < b; x += 9 * devicePixelRatio) {
        g.moveTo(x, u.bbox.top + u.bbox.height);
        g.lineTo(x + u.bbox.height, u.bbox.top);
      }
      g.stroke();
      g.restore();
    }
  }

  stations(u, ink, quiet, rule) {
    const g = u.ctx;
    g.save();
    g.strokeStyle = rule;
    g.fillStyle = quiet;
    g.font = `600 ${11 * devicePixelRatio}px "Atkinson Next"`;
    g.textAlign = 'center';
    let last = -Infinity;
    this.stage.times.forEach((t, i) => {
      const x = u.valToPos(t, 'x', true);
      g.beginPath();
      g.setLineDash([]);
      g.moveTo(x, u.bbox.top);
      g.lineTo(x, u.bbox.top + u.bbox.height);
      g.stroke();
      if (x - last > 17 * devicePixelRatio) {
        g.fillText(this.stage.codes[i], x, u.bbox.top + u.bbox.height - 4 * devicePixelRatio);
        last = x;
      }
    });
    const y = u.valToPos(50, 'y', true);
    g.strokeStyle = ink;
    g.globalAlpha = 0.45;
    g.beginPath();
    g.moveTo(u.bbox.left, y);
    g.lineTo(u.bbox.left + u.bbox.width, y);
    g.stroke();
    g.restore();
  }

  draw(t) {
    this.now.style.transform = `translateX(${(this.plot.valToPos(t, 'x') - 1).toFixed(1)}px)`;
  }
}
