<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** What is drawn over a picture to say what happens in it. */
enum MarkKind: string
{
    /** One place: the joint or spot it is about. */
    case Ring = 'ring';
    /** One place: here skin touches skin or thing. */
    case Contact = 'contact';
    /** One place: short strokes round a light tap. */
    case Tap = 'tap';
    /** Two places or more: the way something goes. */
    case Arrow = 'arrow';
    /** From, to: a push that ends at a bar. */
    case Press = 'press';
    /** Centre and two places that span the ring: round this way. */
    case Circle = 'circle';
    /** Two places or more: the line drawn so far. */
    case Path = 'path';
    /** Two places or more: a height or border that is not crossed. */
    case Line = 'line';
    /** One place: small arcs to both sides, a shake or a bounce. */
    case Shake = 'shake';
    /** One place: a soft halo, attention rests here. */
    case Glow = 'glow';
    /** One place: the breath as a ring. */
    case Breath = 'breath';
    /** One place: a large figure, as text says. */
    case Figure = 'figure';
    /** Vertex and two places: an angle that is kept. */
    case Angle = 'angle';
    /** Two places: drops or a stream. */
    case Stream = 'stream';

    public function fewestPlaces(): int
    {
        return match ($this) {
            self::Arrow, self::Press, self::Path, self::Line, self::Stream => 2,
            self::Circle, self::Angle => 3,
            default => 1,
        };
    }
}
