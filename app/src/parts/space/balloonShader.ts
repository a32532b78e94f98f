/*
 * A balloon is one oblong that faces the eye. For every point of it the ray from the eye is cut with the balloon: a
 * spheroid along its neck's line, the cone of its neck and the knot. Depth, light and the finish follow from where it is
 * met. Colours are reckoned as light and told as sRGB (IEC 61966-2-1).
 *
 * What no balloon of a scene looks like is left out of the program by its defines (SEES_PEARL, SEES_MIRROR, SEES_CLEAR,
 * SEES_INNER): drawn without graphics hardware every branch costs, taken or not.
 */

/** Places the oblong so that it covers its balloon, its neck and little more: every point of it costs, seen or not. */
export const VERTEX = /* glsl */ `
precision highp float;
uniform mat4 projectionMatrix, viewMatrix;
uniform vec3 eye;
uniform float mmPerPoint;
in vec2 corner;
in vec4 place, neck, skin, inner, shade;
out vec3 toPoint;
flat out vec4 vPlace, vNeck, vSkin, vInner, vShade;
void main() {
  vPlace = place; vNeck = neck; vSkin = skin; vInner = inner; vShade = shade;
  float radius = place.w, aspect = neck.w;
  vec3 to = place.xyz - eye;
  float away = length(to);
  vec3 ahead = to / away;
  // It lies along the neck as that is seen.
  vec3 aside = neck.xyz - ahead * dot(neck.xyz, ahead);
  float slant = length(aside);
  vec3 other = abs(ahead.z) > 0.9 ? vec3(1.0, 0.0, 0.0) : vec3(0.0, 0.0, 1.0);
  vec3 along = slant > 0.001 ? aside / slant : normalize(cross(ahead, other));
  vec3 over = cross(along, ahead);
  float body = radius * sqrt(aspect * aspect * slant * slant + 1.0 - slant * slant);
  // Its knot stands out beyond its body.
  float knot = radius * ((aspect + 0.2) * slant + 0.12);
  float front = corner.x > 0.0 ? max(body, knot) : body;
  // What is nearer than its middle's plane is seen larger; and an edge is a point wide.
  float nearer = away / (away - radius * (aspect + 0.3));
  vec2 reach = vec2(front, radius) * nearer + mmPerPoint;
  vec3 point = place.xyz + corner.x * reach.x * along + corner.y * reach.y * over;
  toPoint = point - eye;
  gl_Position = projectionMatrix * viewMatrix * vec4(point, 1.0);
}`;

export const FRAGMENT = /* glsl */ `
precision highp float;
uniform mat4 projectionMatrix, viewMatrix;
uniform vec3 eye, viewRight, viewUp, viewInto, chosenInk, wrongInk;
uniform float mmPerPoint, outlinePoints;
in vec3 toPoint;
flat in vec4 vPlace, vNeck, vSkin, vInner, vShade;
out vec4 colour;

const float MATTE = 0.0, PEARL = 1.0, MIRROR = 2.0, CLEAR = 3.0;

vec3 told(vec3 light) {
  light = clamp(light, 0.0, 1.0);
  return mix(12.92 * light, 1.055 * pow(light, vec3(1.0 / 2.4)) - 0.055, step(0.0031308, light));
}

vec3 inView(vec3 v) { return vec3(dot(v, viewRight), dot(v, viewUp), -dot(v, viewInto)); }

/* A workroom: a bright window at the upper left, a dimmer one at the right, a pale ceiling, a warm floor. */
float windowAt(vec3 r, float blur) {
  vec2 at = vec2(r.x, r.y) / max(0.25, 0.4 + 0.6 * r.z);
  vec2 sides = smoothstep(vec2(-0.98, 0.18), vec2(-0.98, 0.18) + blur, at) * smoothstep(vec2(-0.24, 1.0) + blur, vec2(-0.24, 1.0), at);
  float bar = 1.0 - smoothstep(0.05 + blur, 0.02, abs(at.x + 0.60)) * step(blur, 0.2);
  return sides.x * sides.y * bar * smoothstep(-0.35, 0.1, r.z);
}

vec3 roomAt(vec3 r) {
  vec3 room = mix(vec3(0.30, 0.27, 0.24), vec3(0.62, 0.64, 0.67), smoothstep(-0.25, 0.55, r.y));
  room = mix(room, vec3(0.16, 0.145, 0.13), smoothstep(-0.1, -0.6, r.y));
  float other = smoothstep(0.66, 0.72, r.x) * smoothstep(0.90, 0.84, r.x) * smoothstep(-0.35, -0.2, r.y);
  return room + 2.1 * windowAt(r, 0.06) + 0.55 * other * smoothstep(0.75, 0.6, r.y);
}

const vec3 LAMP = vec3(-0.46, 0.64, 0.62);

/* A skin's light at a place: n its outward direction, v towards the eye, both in the picture's axes. */
vec3 lit(vec3 base, float look, vec3 n, vec3 v, vec3 worldN) {
  vec3 lamp = normalize(LAMP);
  float facing = clamp(dot(n, v), 0.0, 1.0);
  float edge = 1.0 - facing;
  float wrap = clamp(0.42 + 0.58 * dot(n, lamp), 0.0, 1.0);
  float sky = 0.5 + 0.5 * worldN.z;
  float soft = 0.36 + 0.34 * sky + 0.60 * wrap * wrap;
  vec3 half_ = normalize(lamp + v);
  float gleam = clamp(dot(n, half_), 0.0, 1.0);
#ifdef SEES_MIRROR
  if (look == MIRROR) {
    vec3 seen = roomAt(reflect(-v, n));
    vec3 tint = mix(base, vec3(1.0), 0.10 + 0.55 * pow(edge, 4.0));
    return seen * tint * 1.35 + base * 0.06;
  }
#endif
  // Latex lets a little light through: its edge glows in its own colour.
  vec3 body = base * soft + base * base * 0.10 * pow(edge, 1.5);
#ifdef SEES_PEARL
  if (look == PEARL) {
    vec3 sheen = mix(base, vec3(1.0), 0.55);
    float window = windowAt(reflect(-v, n), 0.3);
    return body * 0.92 + sheen * (0.26 * pow(gleam, 7.0) + 0.22 * pow(edge, 2.4) + 0.30 * window);
  }
#endif
  return body + vec3(0.05 * pow(gleam, 10.0) + 0.10 * windowAt(reflect(-v, n), 0.18));
}

/* Where a ray meets a spheroid: distance, and how near it comes beside it (below 0 inside), mm. */
bool spheroid(vec3 from, vec3 along, vec3 axis, float aspect, float radius, out float far, out float beside, out vec3 normal) {
  float press = 1.0 / aspect - 1.0;
  vec3 o = from + axis * dot(from, axis) * press;
  vec3 w = along + axis * dot(along, axis) * press;
  float a = dot(w, w);
  float b = dot(o, w) / a;
  vec3 nearest = o - w * b;
  float passes = length(nearest);
  beside = passes - radius;
  if (passes > radius + mmPerPoint) return false;
  float inside = max(radius * radius - passes * passes, 0.0);
  far = -b - sqrt(inside / a);
  vec3 met = o + w * far;
  normal = normalize(met + axis * dot(met, axis) * press);
  return true;
}

/* Where a ray meets the cone of a neck, from radius r0 at h0 along the axis to r1 at h1. */
bool cone(vec3 from, vec3 along, vec3 axis, float h0, float h1, float r0, float r1, out float far, out vec3 normal) {
  float k = (r1 - r0) / (h1 - h0);
  float fa = dot(from, axis) - h0, wa = dot(along, axis);
  vec3 f = from - axis * dot(from, axis), w = along - axis * wa;
  float r = r0 + k * fa;
  float a = dot(w, w) - k * k * wa * wa;
  float b = dot(f, w) - k * wa * r;
  float c = dot(f, f) - r * r;
  float inside = b * b - a * c;
  if (inside < 0.0 || abs(a) < 1e-9) return false;
  far = (-b - sqrt(inside)) / a;
  float h = fa + far * wa;
  if (far <= 0.0 || h < 0.0 || h > h1 - h0) return false;
  normal = normalize(normalize(f + w * far) - axis * k);
  return true;
}

void main() {
  vec3 along = normalize(toPoint);
  vec3 from = eye - vPlace.xyz;
  float radius = vPlace.w, aspect = vNeck.w;
  vec3 axis = vNeck.xyz;
  float far = 1e20, beside = 1.0;
  vec3 normal = vec3(0.0);
  bool met = spheroid(from, along, axis, aspect, radius, far, beside, normal);
  float cover = met ? clamp(0.5 - beside / mmPerPoint, 0.0, 1.0) : 0.0;
  float body = cover;

  // The neck and its knot: a cone that leaves the body, and a small ball.
  float end = radius * aspect;
  float coneFar; vec3 coneNormal;
  bool tied = false;
  bool coned = cone(from, along, axis, 0.95 * end, end + 0.1 * radius, 0.3 * radius, 0.07 * radius, coneFar, coneNormal);
  if (coned && (body == 0.0 || coneFar < far)) {
    far = coneFar; normal = coneNormal; cover = 1.0; tied = true;
  }
  float knotFar, knotBeside; vec3 knotNormal;
  vec3 knot = axis * (end + 0.13 * radius);
  bool knotted = spheroid(from - knot, along, axis, 0.7, 0.1 * radius, knotFar, knotBeside, knotNormal);
  if (knotted && knotBeside < 0.0 && (cover == 0.0 || knotFar < far)) {
    far = knotFar; normal = knotNormal; cover = 1.0; tied = true;
  }
  if (cover <= 0.0) discard;

  vec3 n = inView(normal), v = inView(-along);
  float facing = clamp(dot(n, v), 0.0, 1.0);
  float look = vSkin.w;
  vec3 light;
  float alpha = 1.0;
  if (tied) {
    // Unstretched latex is deeper in colour, and dull.
    light = lit(vSkin.rgb * vSkin.rgb * 0.6 + vSkin.rgb * 0.25, MATTE, n, v, normal);
    alpha = look == CLEAR ? 0.75 : 1.0;
#ifdef SEES_INNER
  } else if (vInner.w >= 0.0) {
    // The one inside fills nearly all of it and shows through its skin; at the edge the skin is seen by itself.
    float skinHides = look == CLEAR ? 0.06 : 0.45;
    float innerFar, innerBeside; vec3 innerNormal;
    bool within = spheroid(from, along, axis, aspect, 0.93 * radius, innerFar, innerBeside, innerNormal);
    float core = within ? clamp(0.5 - innerBeside / mmPerPoint, 0.0, 1.0) : 0.0;
    vec3 over = lit(vSkin.rgb, look == CLEAR ? MATTE : look, n, v, normal);
    vec3 under = within ? lit(vInner.rgb, vInner.w, inView(innerNormal), v, innerNormal) : over;
    float shine = windowAt(reflect(-v, n), 0.1);
    vec3 rim = mix(over, vec3(1.0), 0.25);
    light = mix(rim, mix(under, over, skinHides), core) + 0.22 * shine;
    alpha = mix(0.55 + 0.4 * pow(1.0 - facing, 3.0), 1.0, core);
#endif
#ifdef SEES_CLEAR
  } else if (look == CLEAR) {
    float edge = pow(1.0 - facing, 2.2);
    float shine = windowAt(reflect(-v, n), 0.1);
    // Light that fell through gathers at the far side.
    float gathered = 0.22 * pow(clamp(dot(n, normalize(vec3(0.4, -0.6, 0.5))), 0.0, 1.0), 6.0);
    light = mix(vSkin.rgb, vec3(1.0), 0.18) * (0.75 + 0.25 * n.y) + 0.6 * shine + gathered;
    alpha = clamp(0.16 + 0.7 * edge + 0.5 * shine + gathered, 0.0, 1.0);
#endif
  } else {
    light = lit(vSkin.rgb, look, n, v, normal);
  }
  // Where others stand close less light comes.
  float close = length(vShade.xyz);
  if (close > 0.0) {
    float dim = 0.8 * close * smoothstep(-0.15, 1.0, dot(normal, vShade.xyz / close));
    // What light is left there has been thrown back by balloons: it keeps their colour.
    light *= mix(vec3(1.0), 0.22 + 0.45 * vSkin.rgb, dim);
  }

  if (vShade.w > 0.5 && !tied && beside > -outlinePoints * mmPerPoint * vShade.w) {
    light = vShade.w > 1.5 ? wrongInk : chosenInk;
    alpha = 1.0;
  }
  colour = vec4(told(light), alpha * cover);
  vec4 clip = projectionMatrix * viewMatrix * vec4(eye + along * far, 1.0);
  gl_FragDepth = 0.5 * clip.z / clip.w + 0.5;
}`;
