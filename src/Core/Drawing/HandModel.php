<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Builds the flesh of a right hand from a pose: forward kinematics to joint frames, about 65 spheres on them,
 * hulls between.
 *
 * @phpstan-import-type Vec from Vector
 */
final class HandModel
{
    private const PALM_LINES = [
        [
            [31.0, 69.0, 8.0],
            [22.0, 66.0, 10.0],
            [8.0, 50.0, 13.0],
            [1.0, 30.0, 16.0],
            [-1.0, 12.0, 17.0],
        ],
        [[31.0, 67.0, 8.0], [18.0, 63.0, 10.0], [-4.0, 54.0, 11.0], [-20.0, 42.0, 16.0]],
        [
            [-33.0, 59.0, 10.0],
            [-22.0, 65.0, 11.0],
            [-4.0, 70.0, 10.0],
            [8.0, 76.0, 9.0],
            [16.0, 83.0, 9.0],
        ],
        [[-24.0, -3.0, 13.0], [-8.0, -5.0, 17.0], [8.0, -5.0, 17.0], [24.0, -2.0, 13.0]],
    ];
    private const HOLLOW = [
        [20.0, 64.0, 10.0],
        [8.0, 50.0, 13.0],
        [1.0, 30.0, 16.0],
        [-2.0, 16.0, 17.0],
        [-9.0, 22.0, 18.0],
        [-12.0, 40.0, 15.0],
        [-8.0, 52.0, 12.0],
        [4.0, 60.0, 11.0],
        [20.0, 64.0, 10.0],
    ];
    private const TENDONS = [
        'index' => [24.0, 50.0],
        'middle' => [8.0, 54.0],
        'ring' => [-7.0, 52.0],
        'little' => [-19.0, 47.0],
    ];

    private Scene $scene;
    private Frame $hand;

    /** @var array<string, int> knuckles */
    private array $knuckle = [];

    /** @var array<string, int> the lower skin before each knuckle */
    private array $valley = [];

    /** @var array<string, Frame> */
    private array $root = [];

    private int $carpusRadial;
    private int $carpusUlnar;

    private function __construct(
        private readonly Pose $pose,
        private readonly bool $withSkin,
    ) {
        $this->scene = new Scene();
    }

    /** @param bool $withSkin without creases and nails, for places and silhouettes, it takes a quarter of the time */
    public static function build(Pose $pose, ?Frame $elbow = null, bool $withSkin = true): Scene
    {
        $model = new self($pose, $withSkin);
        $model->forearm($elbow ?? new Frame());
        $model->knuckles();
        foreach (Pose::FINGERS as $finger) {
            $model->finger($finger);
        }
        $model->webs();
        $model->thumbAndPalm();
        if ($withSkin) {
            $model->palmMarks();
        }

        return $model->scene;
    }

    private function forearm(Frame $elbow): void
    {
        $s = $this->scene;
        $arm = $elbow->roll($this->pose->forearm);
        $far = $elbow->roll($this->pose->forearm * .3); // the elbow end follows only a little
        $h = $this->hand = $arm->tilt(-$this->pose->dev)->flex($this->pose->wrist);
        $s->frames['arm'] = $arm;
        $s->frames['far'] = $far;
        $s->frames['hand'] = $h;
        $aR = $s->ball($far->at(15, -72, -1), 21);
        $aU = $s->ball($far->at(-15, -72, -1), 21);
        $wR = $s->ball($arm->at(12.5, -14, 0), 16.5);
        $wU = $s->ball($arm->at(-12.5, -14, -1), 16);
        $this->carpusRadial = $s->ball($h->at(15, 8, 1), 15);
        $this->carpusUlnar = $s->ball($h->at(-15, 8, 1), 15);
        $s->open[$aR] = $s->open[$aU] = Vector::sub($far->at(0, -72, 0), $arm->at(0, -14, 0));
        $s->hull('arm', $aR, $wR, $wU);
        $s->hull('arm', $aR, $aU, $wU);
        $s->hull('palm', $wR, $wU, $this->carpusRadial);
        $s->hull('palm', $wU, $this->carpusUlnar, $this->carpusRadial);
    }

    /** How far cupping lifts a knuckle towards the palm, in millimetres. */
    private function lift(string $finger): float
    {
        return match ($finger) {
            'ring' => 7 * $this->pose->cup,
            'little' => 14 * $this->pose->cup,
            default => 0.0,
        };
    }

    private function knuckles(): void
    {
        $s = $this->scene;
        foreach (Pose::FINGERS as $n => $f) {
            [$x, $y, $z, $fan, $roll] = HandTables::KNUCKLES[$f];
            $side = $n < 2 ? 1 : -1;
            $this->root[$f] = $this->hand->move(
                $x + ('little' === $f ? 4 * $this->pose->cup : 0),
                $y,
                $z + $this->lift($f),
            )
                ->tilt(-($fan + $side * $this->pose->fingers[$f][3]))
                ->roll($roll + $this->lift($f) * .9);
            $this->knuckle[$f] = $s->ball($this->root[$f]->origin, HandTables::RADII[$f][0]);
            $this->valley[$f] = $s->ball(
                $this->root[$f]->at(0, -7, 1.4),
                HandTables::RADII[$f][0] - .8,
            );
            $s->hull('web', $this->knuckle[$f], $n < 2 ? $this->carpusRadial : $this->carpusUlnar);
        }
        foreach (HandTables::NEIGHBOURS as [$a, $b]) {
            $s->hull(
                'palm',
                $this->valley[$a],
                $this->valley[$b],
                'ring' === $a ? $this->carpusUlnar : $this->carpusRadial,
            );
        }
        $s->hull('palm', $this->valley['ring'], $this->carpusRadial, $this->carpusUlnar);
    }

    private function finger(string $f): void
    {
        $s = $this->scene;
        [$mcp, $pip, $dip] = $this->pose->fingers[$f];
        [$l1, $l2, $l3] = HandTables::LENGTHS[$f];
        $r = HandTables::RADII[$f];
        $p = $this->root[$f]->flex($mcp);
        $m = $p->move(0, $l1, 0)->flex($pip);
        $d = $m->move(0, $l2, 0)->flex($dip);
        $s->frames["$f.mcp"] = $this->root[$f];
        $s->frames["$f.pp"] = $p;
        $s->frames["$f.mp"] = $m;
        $s->frames["$f.dp"] = $d;
        $b0 = $s->ball($p->at(0, 2, 1), $r[1]);
        $b1 = $s->ball($p->at(0, $l1 * .5, 1), $r[2]);
        $b2 = $s->ball($p->at(0, $l1, 0), $r[3]);
        $b3 = $s->ball($m->at(0, $l2 * .5, .8), $r[4]);
        $b4 = $s->ball($m->at(0, $l2, 0), $r[5]);
        $b5 = $s->ball($d->at(0, $l3 * .45, .6), $r[6]);
        $b6 = $s->ball($d->at(0, $l3 + 1.5 - $r[7], -.9), $r[7]);
        $fleshy = $s->ball($p->at(0, $l1 * .34, 3.2), $r[1] - .8); // on the palm side
        $s->chain("$f/0", ...[$this->knuckle[$f], $b0, $b1, $b2]);
        $s->hull("$f/0", $b0, $fleshy, $b1);
        $s->chain("$f/1", $b2, $b3, $b4);
        $s->chain("$f/2", $b4, $b5, $b6);
        $s->anchors["$f.tip"] = $d->at(0, $l3 + 1.5, 0);
        $s->anchors["$f.pad"] = $d->at(0, $l3 * .62, .4 + $r[6]);
        if (!$this->withSkin) {
            return;
        }
        $s->mark('crease', Skin::ring($p, $l1 * .44, $r[2] + .8, -50, to: 50, bow: -1), $f);
        $s->mark('crease', Skin::ring($p, $l1 - 1, $r[3], -58, to: 58, bow: 1), $f);
        $s->mark('crease', Skin::ring($m, $l2 - .5, $r[5], -58, to: 58, bow: 1), $f);
        $s->mark('knuckle', Skin::ring($p, $l1 - 2.2, $r[3], 148, to: 212, bow: -1), $f);
        $s->mark('knuckle', Skin::ring($p, $l1 + 1.8, $r[3], 148, to: 212, bow: 1.4), $f);
        $s->mark('knuckle', Skin::ring($m, $l2, $r[5], 152, to: 208, bow: .8), $f);
        $s->mark(
            'nail',
            Skin::nail(
                $d,
                [$l3 * .45, .6, $r[6]],
                [$l3 + 1.5 - $r[7], -.9, $r[7]],
                $r[6] * .7,
                from: $l3 * .46,
                to: $l3 * .95,
            ),
            $f,
        );
    }

    /** Webs reach 40 % up the first phalanx and slip back when the neighbours part. */
    private function webs(): void
    {
        $s = $this->scene;
        foreach (HandTables::NEIGHBOURS as [$a, $b]) {
            $pa = $s->frames["$a.pp"];
            $pb = $s->frames["$b.pp"];
            $t = .4 * max(0.0, Vector::dot($pa->y, $pb->y));
            $wa = $s->ball($pa->at(0, HandTables::LENGTHS[$a][0] * $t, 1.5), 7.5);
            $wb = $s->ball($pb->at(0, HandTables::LENGTHS[$b][0] * $t, 1.5), 7.2);
            $s->hull('web', $wa, $wb, $this->valley[$a]);
            $s->hull('web', $wb, $this->valley[$a], $this->valley[$b]);
        }
    }

    /**
     * The roll of 60 degrees turns the thumb's pad to the ulnar side at rest; opposition turns it on to face the
     * fingers.
     */
    private function thumbAndPalm(): void
    {
        $s = $this->scene;
        $h = $this->hand;
        [$radial, $palmar, $opposition, $mp, $ip] = $this->pose->thumb;
        [$l1, $l2, $l3] = HandTables::THUMB_LENGTHS;
        $c = $h->move(17, 14, 8)->tilt(-$radial)->flex($palmar)->roll(-(60 + $opposition));
        $p = $c->move(0, $l1, 0)->flex($mp);
        $d = $p->move(0, $l2, 0)->flex($ip);
        $s->frames['thumb.mc'] = $c;
        $s->frames['thumb.pp'] = $p;
        $s->frames['thumb.dp'] = $d;
        $c0 = $s->ball($c->origin, 14);
        $c1 = $s->ball($c->at(0, $l1 * .5, 4), 13.5);
        $c2 = $s->ball($c->at(0, $l1, 0), 11.4);
        $t1 = $s->ball($p->at(0, $l2 * .52, .6), 9.7);
        $t2 = $s->ball($p->at(0, $l2, 0), 10.3);
        $t3 = $s->ball($d->at(1.8, $l3 * .42, .8), 8.6);
        $t4 = $s->ball($d->at(-1.8, $l3 * .42, .8), 8.6);
        $t5 = $s->ball($d->at(0, $l3 - 5.6, -.6), 6.6);
        $s->chain('palm', $c0, $c1, $c2);
        $s->chain('thumb/0', $c2, $t1, $t2);
        $s->hull('thumb/1', $t2, $t3, $t4);
        $s->hull('thumb/1', $t3, $t4, $t5);
        $s->anchors['thumb.tip'] = $d->at(0, $l3 + 1, 0);
        $s->anchors['thumb.pad'] = $d->at(0, $l3 * .55, 9.2);
        if ($this->withSkin) {
            $s->mark('crease', Skin::ring($p, $l2 - 1, 10.1, -58, to: 58, bow: 1), 'thumb');
            $s->mark('crease', Skin::ring($p, 2, 11, -55, to: 40, bow: 1), 'thumb');
            $s->mark('knuckle', Skin::ring($p, $l2 - 2, 10.1, 148, to: 212, bow: -1), 'thumb');
            $s->mark('knuckle', Skin::ring($p, $l2 + 2, 10.1, 150, to: 210, bow: 1), 'thumb');
            $s->mark(
                'nail',
                Skin::nail(
                    $d,
                    [$l3 * .42, .8, 9.2],
                    [$l3 - 5.6, -.6, 6.6],
                    6.6,
                    from: $l3 * .46,
                    to: $l3 * .93,
                ),
                'thumb',
            );
        }

        // thenar ball, first web, hypothenar
        $centre = $s->ball($h->at(4, 40, 2), 11.5);
        $w1 = $s->ball($h->at(26, 66, 1), 9);
        $w2 = $s->ball($c->at(0, $l1 * .92, 0), 7);
        $s->hull('palm', $c0, $c1, $centre);
        $s->hull('palm', $c0, $this->carpusRadial, $centre);
        $s->hull('palm', $w1, $w2, $c0);
        $s->hull('palm', $w1, $c0, $this->carpusRadial);
        $h1 = $s->ball($h->at(-19, 24, 6), 15.5);
        $h2 = $s->ball($h->at(-25, 50, 4 + $this->lift('little') * .5), 13);
        $s->hull('palm', $h1, $h2, $this->carpusUlnar);
        $s->hull('palm', $h2, $this->valley['little'], $h1);
        $s->hull('palm', $h1, $h2, $centre);
    }

    private function palmMarks(): void
    {
        $h = $this->hand;
        foreach (self::PALM_LINES as $line) {
            $this->scene->mark('palm', $this->onPalm(Skin::spline($line)));
        }
        $this->scene->mark('hollow', $this->onPalm(Skin::spline(self::HOLLOW)));
        foreach (self::TENDONS as $f => [$x, $y]) {
            $a = $this->root[$f]->at(0, -13, -HandTables::RADII[$f][0]);
            $b = $h->at($x, $y, -15);
            $back = Vector::times($h->z, -1);
            $points = [];
            for ($i = 0; $i <= 6; ++$i) {
                $points[] = [Vector::mix($a, $b, $i / 6), $back];
            }
            $this->scene->mark('tendon', $points);
            $this->scene->mark(
                'knuckle',
                Skin::ring($this->root[$f], -3, HandTables::RADII[$f][0], 150, to: 208, bow: -2.5),
            );
        }
    }

    /**
     * @param list<Vec> $points in the hand frame
     *
     * @return list<array{Vec, Vec}>
     */
    private function onPalm(array $points): array
    {
        $marks = [];
        foreach ($points as $q) {
            $marks[] = [$this->hand->at($q[0], $q[1], $q[2]), $this->hand->z];
        }

        return $marks;
    }
}
