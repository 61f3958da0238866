async () => {
  // 1,000 discs of diameter 10 and mass 1 in a square whose walls keep their middles within 886; speed 60.
  const N = 1000, SIDE = 886, D = 10, SPEED = 60, FRAMES = 600, DT = 1 / 60;
  const R = D / 2;
  const lines = [];
  const say = (name, ms, before, after, extra = '') =>
    lines.push([name, `${(ms / 1000).toFixed(2)} s; energy ${before === after ? 'unchanged' : `changed by ${(100 * (after - before) / before).toExponential(1)} %`}${extra}`, ms]);

  // Each is run three times and judged by its best: the first runs are the compiler's.
  const best = (run) => [1, 2, 3].map(run).reduce((a, b) => (b.ms < a.ms ? b : a));
  let own;
  const { ms: ownMs } = best(() => {
    const from = performance.now();
    own = core.discs(N, SIDE, D, SPEED, FRAMES, 1);
    return { ms: performance.now() - from };
  });
  say('the core', ownMs, own[0], own[1], `; ${own[2]} collisions, each exact`);
  const start = [];
  for (let i = 0; i < N; i++) {
    // The same places; directions evenly round.
    const a = (2 * Math.PI * ((i * 7919) % N)) / N;
    start.push({ x: own[3 + 2 * i], y: own[4 + 2 * i], vx: SPEED * Math.cos(a), vy: SPEED * Math.sin(a) });
  }
  const energy = (speeds) => speeds.reduce((sum, [x, y]) => sum + 0.5 * (x * x + y * y), 0);
  const first = energy(start.map((s) => [s.vx, s.vy]));
  const T = 50;
  const walls = [[SIDE / 2, -R - T / 2, SIDE + 2 * R + 2 * T, T], [SIDE / 2, SIDE + R + T / 2, SIDE + 2 * R + 2 * T, T],
    [-R - T / 2, SIDE / 2, T, SIDE + 2 * R + 2 * T], [SIDE + R + T / 2, SIDE / 2, T, SIDE + 2 * R + 2 * T]];

  const load = (src) => new Promise((done) => { const s = document.createElement('script'); s.src = src; s.onload = done; document.head.append(s); });
  await load('/matter.js');
  for (const tuned of [false, true]) {
    const M = window.Matter;
    const { ms, after } = best(() => {
    // Matter's own resting threshold swallows slow bounces; the slop lets bodies sink in.
    M.Resolver._restingThresh = tuned ? 0 : 2;
    const engine = M.Engine.create({ gravity: { x: 0, y: 0 }, ...(tuned && { positionIterations: 2, velocityIterations: 2 }) });
    const options = { restitution: 1, friction: 0, frictionStatic: 0, frictionAir: 0, inertia: Infinity, slop: tuned ? 0.01 : 0.05, mass: 1 };
    const bodies = start.map((s) => {
      const b = M.Bodies.circle(s.x, s.y, R, options, 12);
      M.Body.setMass(b, 1);
      M.Body.setVelocity(b, { x: s.vx * DT, y: s.vy * DT });
      return b;
    });
    M.Composite.add(engine.world, [...bodies, ...walls.map(([x, y, w, h]) => M.Bodies.rectangle(x, y, w, h, { isStatic: true, restitution: 1, friction: 0 }))]);
    const from = performance.now();
    for (let i = 0; i < FRAMES; i++) M.Engine.update(engine, 1000 * DT);
    return { ms: performance.now() - from, after: energy(bodies.map((b) => { const v = M.Body.getVelocity(b); return [v.x / DT, v.y / DT]; })) };
    });
    say(`matter-js ${tuned ? 'tuned' : 'as it comes'}`, ms, first, after);
  }

  await load('/planck.js');
  for (const tuned of [false, true]) {
    const P = window.planck;
    // Planck likes metres: one unit of ours is a tenth of one.
    const k = 0.1;
    if (tuned) P.Settings.velocityThreshold = 0;
    const { ms, after } = best(() => {
    const world = new P.World({ gravity: { x: 0, y: 0 } });
    for (const [x, y, w, h] of walls) world.createBody({ position: { x: k * x, y: k * y } }).createFixture({ shape: new P.Box(k * w / 2, k * h / 2), restitution: 1, friction: 0 });
    const bodies = start.map((s) => {
      const b = world.createBody({ type: 'dynamic', position: { x: k * s.x, y: k * s.y }, linearVelocity: { x: k * s.vx, y: k * s.vy }, fixedRotation: true, linearDamping: 0, allowSleep: false });
      b.createFixture({ shape: new P.Circle(k * R), density: 1, restitution: 1, friction: 0 });
      return b;
    });
    const from = performance.now();
    for (let i = 0; i < FRAMES; i++) world.step(DT, tuned ? 4 : 8, tuned ? 1 : 3);
    return { ms: performance.now() - from, after: energy(bodies.map((b) => { const v = b.getLinearVelocity(); return [v.x / k, v.y / k]; })) };
    });
    say(`planck ${tuned ? 'tuned' : 'as it comes'}`, ms, first, after);
  }

  const rapier = await import('/rapier.js');
  const R2 = rapier.default ?? rapier;
  await R2.init();
  for (const tuned of [false, true]) {
    const k = 0.1;
    const { ms, after } = best(() => {
    const world = new R2.World({ x: 0, y: 0 });
    world.timestep = DT;
    if (tuned) world.numSolverIterations = 1;
    for (const [x, y, w, h] of walls) world.createCollider(R2.ColliderDesc.cuboid(k * w / 2, k * h / 2).setTranslation(k * x, k * y).setRestitution(1).setFriction(0));
    const bodies = start.map((s) => {
      const b = world.createRigidBody(R2.RigidBodyDesc.dynamic().setTranslation(k * s.x, k * s.y).setLinvel(k * s.vx, k * s.vy).setLinearDamping(0).lockRotations().setCanSleep(false));
      world.createCollider(R2.ColliderDesc.ball(k * R).setRestitution(1).setFriction(0).setDensity(1), b);
      return b;
    });
    const from = performance.now();
    for (let i = 0; i < FRAMES; i++) world.step();
    return { ms: performance.now() - from, after: energy(bodies.map((b) => { const v = b.linvel(); return [v.x / k, v.y / k]; })) };
    });
    say(`rapier2d-compat ${tuned ? 'tuned' : 'as it comes'}`, ms, first, after);
  }
  const fastest = Math.min(...lines.slice(1).map((l) => l[2]));
  lines.push(['times the core is faster than the fastest of the others', (fastest / ownMs).toFixed(1)]);
  return lines.map(([a, b]) => [a, b]);
}
