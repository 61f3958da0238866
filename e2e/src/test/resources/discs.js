async () => {
  // 1,000 discs of diameter 10 and mass 1 in a square whose walls keep their middles within 886; speed 60.
  const N = 1000, SIDE = 886, D = 10, SPEED = 60, FRAMES = 600, FRAME = 1 / 60;
  const R = D / 2;
  const T = 50;
  const WALLS = [[SIDE / 2, -R - T / 2, SIDE + 2 * R + 2 * T, T], [SIDE / 2, SIDE + R + T / 2, SIDE + 2 * R + 2 * T, T],
    [-R - T / 2, SIDE / 2, T, SIDE + 2 * R + 2 * T], [SIDE + R + T / 2, SIDE / 2, T, SIDE + 2 * R + 2 * T]];

  const load = (src) => new Promise((done) => { const s = document.createElement('script'); s.src = src; s.onload = done; document.head.append(s); });
  await load('/matter.js');
  await load('/planck.js');
  const M = window.Matter;
  const P = window.planck;
  const rapier = await import('/rapier.js');
  const Q = rapier.default ?? rapier;
  await Q.init();
  // Planck and rapier like metres: one unit of ours is a tenth of one.
  const k = 0.1;

  // Each makes a world of discs and walls that goes on by a step, and tells the velocities.
  const engines = {
    'matter-js': (discs, walls, dt, tuned) => {
      // Matter's own resting threshold swallows slow bounces; the slop lets bodies sink in. It counts
      // velocities for a sixtieth of a second, whatever the step.
      M.Resolver._restingThresh = tuned ? 0 : 2;
      const engine = M.Engine.create({ gravity: { x: 0, y: 0 }, ...(tuned && { positionIterations: 2, velocityIterations: 2 }) });
      const options = { restitution: 1, friction: 0, frictionStatic: 0, frictionAir: 0, inertia: Infinity, slop: tuned ? 0.01 : 0.05, mass: 1 };
      // Its circles have corners; polygons can have more, here the more the finer the steps.
      const corners = Math.max(12, 8 * Math.round(FRAME / dt));
      const bodies = discs.map((s) => {
        const b = M.Bodies.polygon(s.x, s.y, corners, R, options);
        M.Body.setMass(b, 1);
        M.Body.setVelocity(b, { x: s.vx * FRAME, y: s.vy * FRAME });
        return b;
      });
      M.Composite.add(engine.world, [...bodies, ...walls.map(([x, y, w, h]) => M.Bodies.rectangle(x, y, w, h, { isStatic: true, restitution: 1, friction: 0 }))]);
      return {
        step: () => M.Engine.update(engine, 1000 * dt),
        velocities: () => bodies.map((b) => { const v = M.Body.getVelocity(b); return [v.x / FRAME, v.y / FRAME]; }),
      };
    },
    planck: (discs, walls, dt, tuned) => {
      P.Settings.velocityThreshold = tuned ? 0 : 1;
      const world = new P.World({ gravity: { x: 0, y: 0 } });
      for (const [x, y, w, h] of walls) world.createBody({ position: { x: k * x, y: k * y } }).createFixture({ shape: new P.Box(k * w / 2, k * h / 2), restitution: 1, friction: 0 });
      const bodies = discs.map((s) => {
        const b = world.createBody({ type: 'dynamic', position: { x: k * s.x, y: k * s.y }, linearVelocity: { x: k * s.vx, y: k * s.vy }, fixedRotation: true, linearDamping: 0, allowSleep: false });
        b.createFixture({ shape: new P.Circle(k * R), density: 1, restitution: 1, friction: 0 });
        return b;
      });
      return {
        step: () => world.step(dt, tuned ? 4 : 8, tuned ? 1 : 3),
        velocities: () => bodies.map((b) => { const v = b.getLinearVelocity(); return [v.x / k, v.y / k]; }),
      };
    },
    'rapier2d-compat': (discs, walls, dt, tuned) => {
      const world = new Q.World({ x: 0, y: 0 });
      world.timestep = dt;
      if (tuned) world.numSolverIterations = 1;
      for (const [x, y, w, h] of walls) world.createCollider(Q.ColliderDesc.cuboid(k * w / 2, k * h / 2).setTranslation(k * x, k * y).setRestitution(1).setFriction(0));
      const bodies = discs.map((s) => {
        const b = world.createRigidBody(Q.RigidBodyDesc.dynamic().setTranslation(k * s.x, k * s.y).setLinvel(k * s.vx, k * s.vy).setLinearDamping(0).lockRotations().setCanSleep(false));
        world.createCollider(Q.ColliderDesc.ball(k * R).setRestitution(1).setFriction(0).setDensity(1), b);
        return b;
      });
      return {
        step: () => world.step(),
        velocities: () => bodies.map((b) => { const v = b.linvel(); return [v.x / k, v.y / k]; }),
      };
    },
  };

  // Equal physics: what an impact does. Lonely pairs, one disc at rest, the other with impact parameters spread
  // evenly; the error is the root mean square difference from the laws of elastic impact, as a part of the speed.
  const PAIRS = 60, ALLOWED = 0.01, FINEST = 32, MEETING = 0.5;
  const pairs = Array.from({ length: PAIRS }, (_, i) => {
    const b = 0.98 * D * ((i + 0.5) / PAIRS), away = Math.sqrt(D * D - b * b);
    return { b, x: 90 * (i % 8), y: 90 * Math.floor(i / 8), from: away + 6 + (i % 7) / 7, nx: away / D, ny: -b / D };
  });
  const impactError = (engine, dt, tuned) => {
    const discs = pairs.flatMap((p) => [{ x: p.x - p.from, y: p.y + p.b, vx: SPEED, vy: 0 }, { x: p.x, y: p.y, vx: 0, vy: 0 }]);
    const world = engine(discs, [], dt, tuned);
    for (let i = 0; i < MEETING / dt; i++) world.step();
    const v = world.velocities();
    // Equal masses: the one at rest takes the part along the line of centres.
    const sum = pairs.reduce((all, p, i) => {
      const along = SPEED * p.nx;
      const [v1, v2] = [v[2 * i], v[2 * i + 1]];
      return all + (v1[0] - SPEED + along * p.nx) ** 2 + (v1[1] + along * p.ny) ** 2 + (v2[0] - along * p.nx) ** 2 + (v2[1] - along * p.ny) ** 2;
    }, 0);
    return Math.sqrt(sum / (2 * PAIRS)) / SPEED;
  };

  const lines = [];
  const percent = (share) => `${(100 * share).toPrecision(2)} %`;
  const say = (name, ms, before, after, extra) =>
    lines.push([name, `${(ms / 1000).toFixed(2)} s; energy ${before === after ? 'unchanged' : `changed by ${(100 * (after - before) / before).toExponential(1)} %`}; ${extra}`]);
  // Each is run several times and judged by its best: the first runs are the compiler's.
  const best = (times, run) => Array.from({ length: times }, run).reduce((a, b) => (b.ms < a.ms ? b : a));
  const timed = (run) => { const from = performance.now(); run(); return performance.now() - from; };

  let own;
  const { ms: ownMs } = best(3, () => ({ ms: timed(() => { own = core.discs(N, SIDE, D, SPEED, FRAMES, 1); }) }));
  say('the core', ownMs, own[0], own[1], `${own[2]} collisions, each exact`);
  // The same places; directions evenly round.
  const start = Array.from({ length: N }, (_, i) => {
    const a = (2 * Math.PI * ((i * 7919) % N)) / N;
    return { x: own[3 + 2 * i], y: own[4 + 2 * i], vx: SPEED * Math.cos(a), vy: SPEED * Math.sin(a) };
  });
  const energy = (speeds) => speeds.reduce((sum, [x, y]) => sum + 0.5 * (x * x + y * y), 0);
  const first = energy(start.map((s) => [s.vx, s.vy]));
  const run = (engine, parts, tuned, times, frames = FRAMES) => best(times, () => {
    const world = engine(start, WALLS, FRAME / parts, tuned);
    const ms = timed(() => { for (let i = 0; i < frames * parts; i++) world.step(); });
    return { ms: (ms * FRAMES) / frames, after: energy(world.velocities()) };
  });

  const fastest = { frame: Infinity, equal: Infinity };
  for (const [name, engine] of Object.entries(engines)) {
    for (const tuned of [false, true]) {
      const { ms, after } = run(engine, 1, tuned, 2);
      fastest.frame = Math.min(fastest.frame, ms);
      say(`${name} ${tuned ? 'tuned' : 'as it comes'}, a step a frame`, ms, first, after, `impacts ${percent(impactError(engine, FRAME, tuned))} wrong`);
    }
    let parts = 1;
    let wrong = impactError(engine, FRAME, true);
    while (parts < FINEST && wrong > ALLOWED) {
      parts *= 2;
      wrong = impactError(engine, FRAME / parts, true);
    }
    if (wrong > ALLOWED) {
      // What never comes within 1 % isn't worth the minutes that its finest steps take.
      lines.push([`${name} tuned, ${parts} steps a frame`, `impacts ${percent(wrong)} wrong: never within 1 %`]);
      continue;
    }
    // A hundredth of the time is run, and counted a hundred times: each step costs the same.
    const { ms, after } = run(engine, parts, true, 1, FRAMES / 100);
    fastest.equal = Math.min(fastest.equal, ms);
    say(`${name} tuned, ${parts} steps a frame`, ms, first, after, `impacts ${percent(wrong)} wrong`);
  }
  lines.push(['times the core is faster than the fastest of the others, at a step a frame', (fastest.frame / ownMs).toFixed(1)]);
  lines.push(['times the core is faster than the fastest of the others, at impacts within 1 %', (fastest.equal / ownMs).toFixed(1)]);
  return lines;
}
