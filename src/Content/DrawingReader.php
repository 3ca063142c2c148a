<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\BodyPose;
use HandGarden\Core\Drawing\DrawingLibrary;
use HandGarden\Core\Drawing\Face;
use HandGarden\Core\Drawing\HandOwner;
use HandGarden\Core\Drawing\InvalidPose;
use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Place;
use HandGarden\Core\Drawing\PlacedFigure;
use HandGarden\Core\Drawing\PlacedForm;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\SecondHand;
use HandGarden\Core\Drawing\Solid\Solid;
use HandGarden\Core\Drawing\ThingKind;
use HandGarden\Core\Drawing\ThingPart;

/** Reads poses, figures, things and second hands. */
final readonly class DrawingReader
{
    private const POSE_KEYS = ['wrist', 'dev', 'forearm', 'cup', 'thumb', ...Pose::FINGERS];

    /**
     * @param array{poses: mixed, figures: mixed, forms: mixed, things: mixed, hands: mixed} $data decoded files
     *
     * @throws InvalidData naming the file, the pose and the joint
     */
    public function read(array $data): DrawingLibrary
    {
        $poses = $this->poses(Node::root($data['poses'], 'poses.yaml'));
        $figures = $things = $hands = [];
        foreach (Node::root($data['figures'], 'figures.yaml')->map() as $name => $node) {
            $figures[$name] = $this->figure($name, $node);
        }
        $forms = [];
        foreach (Node::root($data['forms'], 'forms.yaml')->map() as $name => $node) {
            $forms[$name] = SolidReader::solids($node);
        }
        foreach (Node::root($data['things'], 'things.yaml')->map() as $name => $node) {
            $things[$name] = array_map(
                fn (Node $part): ThingPart|PlacedForm|PlacedFigure => match (true) {
                    $part->has('form') => self::placed($part, $forms),
                    $part->has('figure') => self::person($part, $figures),
                    default => $this->part($part),
                },
                $node->items(),
            );
        }
        foreach (Node::root($data['hands'], 'second-hands.yaml')->map() as $name => $node) {
            $hands[$name] = $this->hand($name, $node, $poses);
        }

        return new DrawingLibrary($poses, $figures, $things, $hands);
    }

    /** @throws InvalidData naming the joint */
    public static function pose(Node $node): Pose
    {
        $angles = [];
        foreach (['wrist', 'dev', 'forearm', 'cup'] as $key) {
            $angles[$key] = $node->optional($key)?->float() ?? 0.0;
        }
        foreach ([...Pose::FINGERS, 'thumb'] as $digit) {
            $values = $node->get($digit)->floats();
            if (\count($values) !== ('thumb' === $digit ? 5 : 4)) {
                throw $node->get($digit)->fail(
                    \sprintf(
                        'expected %d angles',
                        'thumb' === $digit ? 5 : 4,
                    ),
                );
            }
            $angles[$digit] = $values;
        }
        try {
            return Pose::from($angles);
        } catch (InvalidPose $e) {
            throw $node->fail($e->getMessage());
        }
    }

    /** @return array<string, NamedPose> */
    private function poses(Node $node): array
    {
        $plain = [];
        foreach ($node->map() as $name => $pose) {
            $pose->only('elbow', 'gap', 'other_wrist', 'other_pose', 'turn', ...self::POSE_KEYS);
            $plain[$name] = self::pose($pose);
        }
        $poses = [];
        foreach ($node->map() as $name => $pose) {
            $other = $pose->optional('other_pose');
            $poses[$name] = new NamedPose(
                $name,
                $plain[$name],
                $pose->optional('elbow')?->float(-90, 90) ?? 0.0,
                $pose->optional('gap')?->float(0, 300) ?? 48.0,
                otherWristDegrees: $pose->optional('other_wrist')?->float(
                    -80,
                    85,
                ),
                otherPose: null === $other
                    ? null
                    : ($plain[$other->string()] ?? throw $other->fail('no pose of this name')),
                turn: $pose->optional('turn')?->float(-180, 180) ?? 0.0,
            );
        }

        return $poses;
    }

    private function figure(string $name, Node $node): BodyPose
    {
        $node->only('trunk', 'right', 'left', 'right_leg', 'left_leg', 'seated', 'open', 'face');

        return new BodyPose(
            $name,
            self::three($node->get('trunk'), BodyPose::TRUNK_LIMITS),
            self::five($node->get('right')),
            self::five($node->get('left')),
            rightLeg: self::three(
                $node->get('right_leg'),
                BodyPose::LEG_LIMITS,
            ),
            leftLeg: self::three(
                $node->get('left_leg'),
                BodyPose::LEG_LIMITS,
            ),
            seated: $node->optional('seated')?->bool() ?? true,
            open: $node->optional('open')?->bool() ?? true,
            face: $node->optional('face')?->enum(Face::class) ?? Face::Calm,
        );
    }

    /**
     * @param list<array{int, int}> $limits
     *
     * @return list<float>
     */
    private static function within(Node $node, array $limits): array
    {
        $items = $node->items();
        if (\count($items) !== \count($limits)) {
            throw $node->fail(\sprintf('expected %d angles', \count($limits)));
        }

        return array_map(
            static fn (Node $item, array $limit): float => $item->float(
                $limit[0],
                $limit[1],
            ),
            $items,
            $limits,
        );
    }

    /**
     * @param list<array{int, int}> $limits
     *
     * @return array{float, float, float}
     */
    private static function three(Node $node, array $limits): array
    {
        [$a, $b, $c] = self::within($node, $limits) + [0.0, 0.0, 0.0];

        return [$a, $b, $c];
    }

    /** @return array{float, float, float, float, float} */
    private static function five(Node $node): array
    {
        [$a, $b, $c, $d, $e] = self::within($node, BodyPose::ARM_LIMITS) + [0.0, 0.0, 0.0, 0.0, 0.0];

        return [$a, $b, $c, $d, $e];
    }

    /** @param array<string, non-empty-list<Solid>> $forms */
    private static function placed(Node $node, array $forms): PlacedForm
    {
        $node->only('form', 'at', 'towards', 'turn', 'furniture');
        $form = $node->get('form');
        $towards = $node->optional('towards');

        return new PlacedForm(
            $forms[$form->string()] ?? throw $form->fail('no form of this name'),
            self::place($node->get('at')),
            null === $towards ? null : self::place($towards),
            self::numbers($node->optional('turn')) ?? [0.0, 0.0, 0.0],
            isFurniture: $node->optional('furniture')?->bool() ?? false,
        );
    }

    /** @param array<string, BodyPose> $figures */
    private static function person(Node $node, array $figures): PlacedFigure
    {
        $node->only('figure', 'at');
        $figure = $node->get('figure');

        return new PlacedFigure(
            $figures[$figure->string()] ?? throw $figure->fail('no figure of this name'),
            self::place($node->get('at')),
        );
    }

    private function part(Node $node): ThingPart
    {
        $node->only('kind', 'at', 'size', 'furniture', 'tone');
        $places = array_map(self::place(...), $node->get('at')->items());
        $sizes = $node->get('size')->floats();
        if ([] === $places || [] === $sizes || min($sizes) <= 0.0) {
            throw $node->fail('a shape has one place or more and sizes above 0');
        }
        $kind = $node->get('kind')->enum(ThingKind::class);
        $wanted = match ($kind) {
            ThingKind::Rod, ThingKind::Cord, ThingKind::Rope => 2,
            ThingKind::Plate, ThingKind::Band => 3,
        };
        if (\count($places) < $wanted) {
            throw $node->get('at')->fail(
                \sprintf('%s needs %d places or more', $kind->value, $wanted),
            );
        }

        return new ThingPart(
            $kind,
            $places,
            $sizes,
            isFurniture: $node->optional('furniture')?->bool() ?? false,
            tone: $node->optional('tone')?->string(),
        );
    }

    public static function place(Node $node): Place
    {
        $items = $node->items();
        if (1 !== \count($items) && 4 !== \count($items)) {
            throw $node->fail(
                'expected the name of a place, alone or with x, y and z in millimetres',
            );
        }

        return new Place(
            $items[0]->string(),
            ...array_map(
                static fn (Node $n): float => $n->float(),
                \array_slice($items, 1),
            ),
        );
    }

    /** @return array{float, float, float}|null */
    public static function numbers(?Node $node): ?array
    {
        if (null === $node) {
            return null;
        }
        $numbers = $node->floats();

        return 3 === \count($numbers)
            ? [$numbers[0], $numbers[1], $numbers[2]]
            : throw $node->fail('expected three numbers');
    }

    /** @param array<string, NamedPose> $poses */
    private function hand(string $name, Node $node, array $poses): SecondHand
    {
        $node->only('pose', 'owner', 'hold', 'at', 'fingers', 'palm', 'same');
        $pose = $node->optional('pose');

        return new SecondHand(
            $name,
            null === $pose
                ? null
                : ($poses[$pose->string()] ?? throw $pose->fail('no pose of this name'))->pose,
            $node->optional('owner')?->enum(HandOwner::class) ?? HandOwner::Own,
            null === ($hold = $node->optional('hold')) ? null : self::place($hold),
            at: null === ($at = $node->optional('at')) ? null : self::place($at),
            fingers: self::numbers($node->optional('fingers')),
            palm: self::numbers($node->optional('palm')),
            isSame: $node->optional('same')?->bool() ?? false,
        );
    }
}
