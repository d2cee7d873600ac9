"""Changes drafts at random through the word processor's own API, as writers do who have never seen where they came from.

Reads jobs as JSON: [{"in": path, "out": path, "seed": 1, "edits": 3, "kinds": [...]}]; prints what was done to each.
"""
import json, os, random, subprocess, sys, tempfile, time

import uno
from com.sun.star.beans import PropertyValue
from com.sun.star.text.ControlCharacter import PARAGRAPH_BREAK

WORDS = 'slowly the harbour master counted ropes again before noon and wrote down what nobody asked'.split()


def start():
    profile = tempfile.mkdtemp(prefix='embrel-office-')
    pipe = 'embrel%d' % os.getpid()
    process = subprocess.Popen(['soffice', '--headless', '--norestore', '--nologo', '-env:UserInstallation=file://' + profile, '--accept=pipe,name=%s;urp;' % pipe], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    local = uno.getComponentContext()
    resolver = local.ServiceManager.createInstanceWithContext('com.sun.star.bridge.UnoUrlResolver', local)
    for _ in range(1200):
        try:
            context = resolver.resolve('uno:pipe,name=%s;urp;StarOffice.ComponentContext' % pipe)
            return process, context.ServiceManager.createInstanceWithContext('com.sun.star.frame.Desktop', context), context
        except Exception:
            time.sleep(0.1)
    raise SystemExit('The word processor does not answer.')


def option(name, value):
    made = PropertyValue()
    made.Name, made.Value = name, value
    return made


class Draft:
    def __init__(self, document, context, chance):
        self.document, self.chance, self.context = document, chance, context
        self.text = document.Text

    def blocks(self):
        blocks, at = [], self.text.createEnumeration()
        while at.hasMoreElements():
            blocks.append(at.nextElement())
        return blocks

    @staticmethod
    def is_text(block):
        return block.supportsService('com.sun.star.text.Paragraph')

    def level(self, block):
        return block.OutlineLevel if self.is_text(block) else 0

    def first(self):
        """Where the text begins, behind title and contents."""
        blocks = self.blocks()
        for i, block in enumerate(blocks):
            if self.level(block) > 0:
                return i
        return len(blocks)

    def headings(self):
        return [block for block in self.blocks() if self.level(block) > 0 and 'Heading' in block.ParaStyleName and block.String.strip() not in ('References', 'Contents')]

    def body(self):
        """Paragraphs of the text that have words."""
        blocks = self.blocks()
        own, isReferences = [], False
        for block in blocks[self.first():]:
            if self.level(block) > 0:
                isReferences = block.String.strip() == 'References'
            elif self.is_text(block) and not isReferences and len(block.String.split()) > 4 and 'Bibliography' not in block.ParaStyleName:
                own.append(block)
        return own

    def pick(self, among):
        if not among:
            raise LookupError('nothing of that kind')
        return self.chance.choice(among)

    def words(self, count):
        return ' '.join(self.chance.choice(WORDS) for _ in range(count))

    def within(self, block, plain=True):
        """A cursor on a word of a paragraph that is no printed citation or reference."""
        portions, at = [], block.createEnumeration()
        while at.hasMoreElements():
            portion = at.nextElement()
            if portion.TextPortionType == 'Text' and not portion.HyperLinkURL and len([w for w in portion.String.split() if w.isalpha()]) > 2:
                portions.append(portion)
        portion = self.pick(portions)
        text = portion.String
        spots, place = [], 0
        for word in text.split(' '):
            if word.isalpha() and len(word) > 2 and '(' not in text[max(0, place - 12):place]:
                spots.append((place, len(word)))
            place += len(word) + 1
        place, length = self.pick(spots)
        cursor = portion.Text.createTextCursorByRange(portion.Start)
        cursor.goRight(place, False)
        cursor.goRight(length, True)
        return cursor

    # ---- What writers do; each says what should be found

    def retitle(self):
        heading = self.pick([h for h in self.headings() if h.String.strip()])
        cursor = self.text.createTextCursorByRange(heading.End)
        self.text.insertString(cursor, ' ' + self.words(2), False)
        return 'retitled', heading.String

    def retitle_front(self):
        heading = self.pick([h for h in self.headings() if h.String.strip()])
        cursor = self.text.createTextCursorByRange(heading.Start)
        self.text.insertString(cursor, self.words(1).capitalize() + ' ', False)
        return 'retitled', heading.String

    def rewrite(self):
        cursor = self.within(self.pick(self.body()))
        cursor.String = self.words(1)
        return 'rewritten', ''

    def rewrite_whole(self):
        block = self.pick(self.body())
        words = block.String.split(' ')
        at = self.chance.randrange(len(words))
        if any(sign in words[at] for sign in '()[]0123456789'):
            raise LookupError('a citation')
        words[at] = self.words(1)
        block.String = ' '.join(words)
        return 'rewritten', ''

    def delete(self):
        block = self.pick(self.body())
        self.text.removeTextContent(block)
        return 'rewritten', ''

    def add(self):
        block = self.pick(self.body())
        cursor = self.text.createTextCursorByRange(block.End)
        self.text.insertControlCharacter(cursor, PARAGRAPH_BREAK, False)
        self.text.insertString(cursor, self.words(9) + '.', False)
        return 'rewritten', ''

    def add_heading(self):
        block = self.pick(self.body())
        cursor = self.text.createTextCursorByRange(block.End)
        self.text.insertControlCharacter(cursor, PARAGRAPH_BREAK, False)
        cursor.ParaStyleName = 'Heading %d' % self.chance.randint(1, 3)
        title = 'New ' + self.words(2) + ' %d' % self.chance.randrange(10 ** 6)
        self.text.insertString(cursor, title, False)
        self.text.insertControlCharacter(cursor, PARAGRAPH_BREAK, False)
        cursor.ParaStyleName = 'Text body'
        self.text.insertString(cursor, self.words(12) + '.', False)
        return 'added', title

    def delete_heading(self):
        heading = self.pick(self.headings()[1:])
        title = heading.String
        self.text.removeTextContent(heading)
        return 'removed', title

    def section(self, heading):
        blocks = self.blocks()
        start = next(i for i, b in enumerate(blocks) if self.is_text(b) and self.text.compareRegionStarts(b, heading) == 0)
        level = self.level(heading)
        end = start + 1
        while end < len(blocks) and not (0 < self.level(blocks[end]) <= level):
            end += 1
        return blocks[start:end]

    def delete_section(self):
        heading = self.pick(self.headings()[1:])
        title = heading.String
        for block in self.section(heading):
            block.dispose() if not self.is_text(block) else self.text.removeTextContent(block)
        return 'removed', title

    def move_section(self):
        headings = self.headings()
        heading = self.pick(headings[1:])
        section = self.section(heading)
        level = self.level(heading)
        inside = [b.String for b in section if self.is_text(b)]
        targets = [h for h in headings if self.level(h) == level and h.String not in inside and h.String != heading.String]
        target = self.pick(targets)
        title = heading.String
        controller = self.document.CurrentController
        view = controller.ViewCursor
        view.gotoRange(section[0].Start, False)
        last = section[-1]
        if not self.is_text(last):
            raise LookupError('ends in a table')
        view.gotoRange(last.End, True)
        view.goRight(1, True)
        moved = controller.getTransferable()
        view.String = ''
        view.gotoRange(target.Start, False)
        controller.insertTransferable(moved)
        return 'moved', title

    def level_change(self):
        heading = self.pick(self.headings()[1:])
        level = self.level(heading)
        heading.ParaStyleName = 'Heading %d' % (level + 1 if level == 1 or self.chance.random() < 0.5 else level - 1)
        return 'moved', heading.String

    def bold(self):
        cursor = self.within(self.pick(self.body()))
        cursor.CharWeight = 150.0
        return '', ''

    def table_cell(self):
        table = self.pick([b for b in self.blocks() if b.supportsService('com.sun.star.text.TextTable')])
        cell = table.getCellByName(self.pick(list(table.CellNames)))
        cursor = cell.createTextCursor()
        cursor.gotoEnd(False)
        cell.insertString(cursor, ' ' + self.words(1), False)
        return 'rewritten', ''

    def table_row(self):
        table = self.pick([b for b in self.blocks() if b.supportsService('com.sun.star.text.TextTable')])
        table.Rows.insertByIndex(table.Rows.Count, 1)
        name = 'A%d' % table.Rows.Count
        table.getCellByName(name).String = self.words(2)
        return 'rewritten', ''

    def list_item(self):
        item = self.pick([b for b in self.blocks()[self.first():] if self.is_text(b) and self.level(b) == 0 and b.ListId and b.String.strip()])
        cursor = item.Text.createTextCursorByRange(item.End)
        item.Text.insertString(cursor, ' ' + self.words(2), False)
        return 'rewritten', ''

    def footnote(self):
        notes = self.document.Footnotes
        if notes.Count == 0:
            raise LookupError('no footnotes')
        note = notes.getByIndex(self.chance.randrange(notes.Count))
        cursor = note.createTextCursor()
        cursor.gotoEnd(False)
        note.insertString(cursor, ' ' + self.words(3), False)
        return 'rewritten', ''

    def add_footnote(self):
        block = self.pick(self.body())
        note = self.document.createInstance('com.sun.star.text.Footnote')
        block.Text.insertTextContent(block.End, note, False)
        note.insertString(note.createTextCursor(), self.words(4) + '.', False)
        return 'rewritten', ''

    def heading_of_paragraph(self):
        block = self.pick([b for b in self.body() if 'Text' in b.ParaStyleName and not b.ListId])
        block.ParaStyleName = 'Heading 2'
        return 'added', block.String

    def split(self):
        block = self.pick(self.body())
        cursor = self.text.createTextCursorByRange(block.Start)
        title = 'Split ' + self.words(2)
        self.text.insertControlCharacter(cursor, PARAGRAPH_BREAK, False)
        cursor.goLeft(1, False)
        cursor.ParaStyleName = 'Heading 2'
        self.text.insertString(cursor, title, False)
        return 'added', title

    def list_level(self):
        items = [b for b in self.blocks()[self.first():] if self.is_text(b) and self.level(b) == 0 and b.ListId and b.String.strip()]
        item = self.pick(items[1:])
        item.NumberingLevel = min(3, item.NumberingLevel + 1)
        return '', ''

    def taken(self, block, cut):
        controller = self.document.CurrentController
        view = controller.ViewCursor
        view.gotoRange(block.Start, False)
        view.gotoRange(block.End, True)
        view.goRight(1, True)
        taken = controller.getTransferable()
        if cut:
            view.String = ''
        return controller, view, taken

    def carry_paragraph(self, cut):
        body = [b for b in self.body() if 'Text' in b.ParaStyleName and not b.ListId]
        block = self.pick(body)
        said = block.String
        controller, view, taken = self.taken(block, cut)
        target = self.pick([b for b in self.body() if 'Text' in b.ParaStyleName and not b.ListId and b.String != said])
        view.gotoRange(target.Start, False)
        controller.insertTransferable(taken)
        return 'rewritten', ''

    def move_paragraph(self):
        return self.carry_paragraph(True)

    def copy_paragraph(self):
        return self.carry_paragraph(False)

    def find_and_replace(self):
        search = self.document.createReplaceDescriptor()
        search.SearchString, search.ReplaceString, search.SearchWords = 'water', 'sea', True
        self.document.replaceAll(search)
        return '', ''


def run(job, desktop, context):
    chance = random.Random(job['seed'])
    document = desktop.loadComponentFromURL('file://' + job['in'], '_blank', 0, (option('Hidden', True),))
    draft = Draft(document, context, chance)
    if job.get('record'):
        document.setPropertyValue('RecordChanges', True)
    done = []
    for _ in range(job['edits'] * 5):
        if len(done) == job['edits']:
            break
        kind = chance.choice(job['kinds'])
        try:
            done.append([kind, *getattr(draft, kind)()])
        except LookupError:
            continue
    form = {'docx': 'MS Word 2007 XML', 'odt': 'writer8'}[job['out'].rsplit('.', 1)[1]]
    document.storeToURL('file://' + job['out'], (option('FilterName', form),))
    document.close(True)
    return done


process, desktop, context = start()
try:
    for job in json.load(sys.stdin):
        print(json.dumps(run(job, desktop, context)), flush=True)
finally:
    try:
        desktop.terminate()
    except Exception:
        pass
    process.wait(20)
