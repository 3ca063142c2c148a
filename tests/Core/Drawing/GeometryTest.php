<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Drawing;

use HandGarden\Content\Pictures\PictureNames;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Drawing\Camera;
use HandGarden\Core\Drawing\Figure;
use HandGarden\Core\Drawing\Layer;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\Place;
use HandGarden\Core\Drawing\Projection;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Tableau;
use HandGarden\Core\Drawing\Vector;
use HandGarden\Core\Drawing\View;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the pictures say about touch, order and side, asked of the scenes they are drawn from. */
final class GeometryTest extends TestCase
{
    private const TOUCHES_MM = 2.0;
    private const DENTS_MM = 3.0;

    /** @return iterable<string, array{string, string, int}> pose of two hands, digit and gap */
    public static function meetings(): iterable
    {
        yield 'all tips' => ['tips-meet', 'middle', 116];
        yield 'steeple' => ['steeple', 'middle', 128];
        yield 'steeple pressed: still touching' => ['steeple-pressed', 'middle', 92];
        foreach (['thumb', 'index', 'middle', 'ring', 'little'] as $digit) {
            yield $digit.' pair' => ['tip-'.$digit.'-pressed', $digit, 98];
        }
    }

    #[DataProvider('meetings')]
    public function testFingersOfTwoHandsMeetHalfway(string $pose, string $digit, int $gap): void
    {
        $scene = Cases::drawings()->pose($pose)->outline();
        $reach = min(
            abs($scene->place($digit.'.tip')[2] - $gap / 2),
            abs($scene->place($digit.'.pad')[2] - $gap / 2),
        );

        self::assertLessThan(self::TOUCHES_MM, $reach);
    }

    /** @return iterable<string, array{string, string}> */
    public static function holds(): iterable
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rung->picture()->stills as $nth => $still) {
                foreach ($still->others as $other) {
                    yield $rung->id.' '.$nth.' '.$other => [$rung->id, $other];
                }
            }
        }
    }

    #[DataProvider('holds')]
    public function testASecondHandTouchesWhereItIsSaidTo(string $rungId, string $other): void
    {
        $picture = Cases::catalogue()->rung($rungId)->picture();
        $hand = Cases::drawings()->hands([$other])[0];
        if (null === $hand->hold || null === $hand->at) {
            self::assertNull($hand->at, 'laid palm to palm');

            return;
        }
        $stills = array_filter($picture->stills, static fn ($s) => \in_array($other, $s->others, true));
        $still = array_values($stills)[0] ?? $picture->stills[0];
        $scene = (new Tableau(Cases::drawings()->subject($still->pose, $picture->view), [], [$hand]))->scene(
            false,
        );
        $hold = $hand->hold;
        $on = implode('~', array_map(static fn (string $n): string => 'other.'.$n, explode('~', $hold->on)));
        $held = new Place($on, ($hand->isSame ? 1 : -1) * $hold->x, $hold->y, $hold->z);

        self::assertLessThan(
            self::TOUCHES_MM,
            Vector::length(Vector::sub($scene->place('other'), $held->in($scene))),
            'the place that holds is at what it holds',
        );
    }

    /** @return iterable<string, array{string, string}> pose and thing */
    public static function grips(): iterable
    {
        yield 'cup' => ['cup-hold', 'cup-in-hand'];
        yield 'soft ball' => ['ball-loose', 'soft-held'];
        yield 'marked ball' => ['ball-fingertips', 'marked-m'];
        yield 'coin' => ['coin-pinch', 'coin-front'];
        yield 'pencil' => ['tripod', 'pencil-point'];
        yield 'sponge' => ['block-hold', 'sponge-a'];
        yield 'bead' => ['bead-b', 'putty-bead-held'];
    }

    /** A finger tip may dent what it holds, and no bone of it lies in it. */
    #[DataProvider('grips')]
    public function testNoFingerTipIsInsideAThing(string $pose, string $thing): void
    {
        $scene = (new Tableau(
            Cases::drawings()->pose($pose),
            Cases::drawings()->things([$thing]),
        ))->scene(false);
        foreach (['thumb', 'index', 'middle'] as $digit) {
            self::assertLessThan(
                self::DENTS_MM,
                self::depthIn($scene, $scene->place($digit.'.tip')),
                $digit,
            );
        }
    }

    public function testAPencilGoesBehindTheThumbAndBeforeThePalm(): void
    {
        $tableau = new Tableau(
            Cases::drawings()->pose('tripod'),
            Cases::drawings()->things(['pencil-point']),
        );
        $order = self::order($tableau, View::Table);

        self::assertContains('fill-foam', $order);
        self::assertGreaterThan(
            array_search('fill-foam', $order, true),
            array_search('fill-hand', array_reverse($order, true), true),
            'a digit is painted after the pencil',
        );
    }

    public function testTheLeftPictureIsTheMirrorOfTheRightOne(): void
    {
        foreach (['pencil-creep', 'wrist-ease-back', 'elbow-braced-drink'] as $id) {
            $picture = Cases::catalogue()->rung($id)->picture();
            [$right, $left] = array_map(
                static fn (Side $side): array => self::window($picture, $side),
                [Side::Right, Side::Left],
            );
            self::assertEqualsWithDelta(-$right[0] - $right[2], $left[0], 1.0, $id);
            self::assertEqualsWithDelta([$right[1], $right[2]], [$left[1], $left[2]], 1.0, $id);
        }
    }

    /** @return array{float, float, float, float} */
    private static function window(Picture $picture, Side $side): array
    {
        $spec = PictureNames::spec($picture, Cases::drawings(), $side, $picture->telling());

        return (new Painter())->paint($spec)->window;
    }

    /** @return list<string> */
    private static function order(Tableau $tableau, View $view): array
    {
        $figure = new Figure(
            $tableau->scene(),
            Camera::from($view, Side::Right),
        );

        return array_map(static fn (Layer $l): string => $l->class, $figure->layers());
    }

    /**
     * How deep a place lies in a thing: seen from three sides, the least of what is before and behind it.
     *
     * @param array{float, float, float} $place
     */
    private static function depthIn(Scene $scene, array $place): float
    {
        $depths = [];
        foreach ([View::Palmar, View::Dorsal, View::Radial, View::RadialUp, View::Three, View::ThreePalm] as $view) {
            $projection = new Projection($scene->only('object'), Camera::from($view, Side::Right));
            [$x, $y, $z] = $projection->camera->project($place);
            $front = -\INF;
            foreach ($projection->near($x, $y) as $k) {
                $front = max($front, $projection->front($k, $x, $y) ?? -\INF);
            }
            $depths[] = $front - $z;
        }

        return max(0.0, min($depths));
    }
}
