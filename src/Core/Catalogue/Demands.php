<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an exercise does with the arm and asks of the body: what safety rules choose by. */
final readonly class Demands
{
    /**
     * @param list<Asks>    $asks
     * @param list<Contact> $contacts
     */
    public function __construct(
        public Works $works,
        public array $asks,
        public array $contacts,
        public Purpose $purpose,
    ) {
    }

    public function asks(Asks $what): bool
    {
        return \in_array($what, $this->asks, true);
    }

    public function touches(Contact $how): bool
    {
        return \in_array($how, $this->contacts, true);
    }
}
