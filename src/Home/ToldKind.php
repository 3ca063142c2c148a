<?php

declare(strict_types=1);

namespace HandGarden\Home;

/** What is told at home beside sittings. */
enum ToldKind: string
{
    case Message = 'message';
    case Diary = 'diary';
    /** The answer to a message was read. */
    case Read = 'read';
    /** What changed in the plan was shown. */
    case Changes = 'changes';
    /** How the helper whose device it is gets on. */
    case Helper = 'helper';
    /** How the task goes, when a block is over. */
    case Block = 'block';
    /** Something worn was put on, came off, or was looked at again. */
    case Wear = 'wear';
    /** The chosen act of the day was done. */
    case Used = 'used';
}
