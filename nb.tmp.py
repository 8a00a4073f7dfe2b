import re
files=['src/routes/g/[garden]/stock/[stock]/cuts/StemCuts.svelte','src/routes/g/[garden]/stock/[stock]/cuts/ClumpCuts.svelte','src/routes/g/[garden]/stock/[stock]/cuts/OtherCuts.svelte','src/routes/g/[garden]/labels/+page.svelte','src/routes/g/[garden]/mix/+page.svelte']
pat=re.compile(r'<label class="(?P<cls>[^"]*\bblock\b[^"]*)"\s*>\s*<span class="(?:mb-1 )?block font-semibold"\s*>(?P<label>(?:(?!</span).)*)</span\s*>(?P<wrap>\s*<span class="flex items-center gap-1"\s*>)?\s*<input(?P<attrs>(?:(?!/>).)*)/>(?:\s*<span class="text-faded"\s*>(?P<unit>(?:(?!</span).)*)</span\s*>\s*</span\s*>)?\s*</label\s*>',re.S)
for f in files:
    s=open(f).read(); n=0
    def rep(m):
        global n
        a=m.group('attrs')
        if 'type="number"' not in a: return m.group(0)
        label=re.sub(r'\s+',' ',m.group('label')).strip()
        lab=f'label="{label}"' if '{' not in label else ('label='+label if re.fullmatch(r'\{[^{}]*\}',label) else 'label={`'+re.sub(r'\{','${',label)+'`}')
        out=['<NumberBox',lab]
        for k in('min','max','step'):
            x=re.search(rf'\b{k}=("([^"]*)"|\{{[^}}]*\}})',a)
            if x:
                v=x.group(1); v='{'+x.group(2)+'}' if x.group(2) is not None else v
                if not(k=='min' and v=='{0}'): out.append(f'{k}={v}')
        if 'box-count' in a: out.append('narrow')
        if m.group('unit'):
            u=re.sub(r'\s+','',m.group('unit')); out.append(f'unit={u}' if u.startswith('{') else f'unit="{u}"')
        cls=' '.join(c for c in m.group('cls').split() if c!='block')
        if cls: out.append(f'class="{cls}"')
        out.append(re.search(r'bind:value=(\{(?:[^{}]|\{[^{}]*\})*\})',a).group(0))
        n+=1
        return ' '.join(out)+' />'
    t=pat.sub(rep,s)
    if n:
        i=t.index("	import SelectField") if "	import SelectField" in t else (t.index("	import Drawing") if "	import Drawing" in t else t.index("	interface Props"))
        t=t[:i]+"	import NumberBox from '$lib/ui/NumberBox.svelte';\n"+t[i:]
    print(f,n)
    open(f,'w').write(t)
