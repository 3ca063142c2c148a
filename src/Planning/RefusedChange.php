<?php

declare(strict_types=1);

namespace HandGarden\Planning;

/** A change of a routine that cannot be made; the message says why. */
final class RefusedChange extends \DomainException
{
}
